import { v7 } from "uuid";
import type { JobLoaded } from "~/app/features/job/entries/job-loaded";
import type { Kit } from "~/app/routes/machine/load-kit.server";
import type { JobId, StageId } from "~/core/records";
import { putOnItsWay } from "./outbox-state";
import { keepSnapshot } from "./snapshots";

export type Opening = { id: JobId; entryId?: string; stageIds: StageId[]; reason: string; firstBuild: boolean };

/** Opens a job on this tablet: it is there at once, and reaches the server when that can be reached. */
export async function openHere(kit: Kit, { id, entryId = v7(), stageIds, reason, firstBuild }: Opening): Promise<void> {
  const madeAt = new Date().toISOString();
  const machineId = kit.machine.id;
  const { instruments, person, machine } = kit;
  const stages = kit.stages.filter((stage) => stageIds.includes(stage.id));
  const along = stages.flatMap(({ adjuster }) => adjuster.alsoMoves.map(({ stageId }) => stageId));
  const job = { id, machineId, stageIds, reason, openedBy: person.id, openedAt: madeAt, signedEntry: null };
  await keepSnapshot("job", id, {
    job,
    machine,
    stages,
    movedAlong: kit.stages.filter((stage) => along.includes(stage.id)),
    instruments,
    entries: [],
    leftOff: kit.leftOff ?? [],
    guides: kit.guides ?? [],
    shafts: kit.shafts ?? [],
    drafts: [],
    before: kit.before.filter((item) => stageIds.includes(item.stageId)),
    person,
    now: madeAt,
  } satisfies JobLoaded);
  const payload = { kind: "job-opened", id, entryId, machineId, stageIds, reason, firstBuild, madeAt };
  await putOnItsWay({ id, jobId: id, url: "/jobs/open", payload });
}
