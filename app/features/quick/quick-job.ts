import { v7 } from "uuid";
import { optimistic, withWaiting } from "~/app/features/job/entries/optimistic";
import type { Kit } from "~/app/routes/machine/load-kit.server";
import { type Entry, jobRecord } from "~/core/logbook";
import { accept, type Result } from "~/core/quantity";
import type { JobId, Stage } from "~/core/records";
import type { Work } from "~/operations/build-entry";
import { openHere } from "../offline/open-here";
import { putOnItsWay } from "../offline/outbox-state";

export type QuickWork = {
  stage: Stage;
  reason: string;
  /** Entries in their order, as the logbook takes them, without ids. */
  work: readonly Work[];
  comment: string;
  nextDate: string | null;
};

/**
 * A whole job from one screen: opened, what was done, signed. Everything is checked here before any of it goes on its way; then it
 * goes by the same addresses as any job, in order, with or without a network.
 *
 * @returns the job's id; or the first refusal, and nothing was sent
 */
export async function doQuickJob(
  kit: Kit,
  { stage, reason, work, comment, nextDate }: QuickWork,
): Promise<Result<string>> {
  const jobId = v7() as JobId;
  const making = {
    job: {
      id: jobId,
      machineId: kit.machine.id,
      stageIds: [stage.id],
      reason,
      openedBy: kit.person.id,
      openedAt: "",
      signedEntry: null,
    },
    stages: [stage],
    instruments: kit.instruments,
    before: kit.before,
    person: kit.person,
    leftOff: kit.leftOff,
  };
  const entries: Entry[] = [];
  const payloads = work.map((item) => ({
    ...item,
    id: v7(),
    jobId,
    stageId: stage.id,
    madeAt: new Date().toISOString(),
  }));
  for (const payload of payloads) {
    const built = optimistic(payload, entries, making);
    if (!built.ok) return built;
    entries.push(built.value);
  }
  const { provisional } = jobRecord([...(kit.leftOff ?? []), ...entries], stage);
  const openingId = v7();
  await openHere(kit, { id: jobId, entryId: openingId, stageIds: [stage.id], reason, firstBuild: false });
  const url = `/jobs/${jobId}/entries`;
  for (const payload of payloads) await putOnItsWay({ id: payload.id, jobId, url, payload });
  const signature = {
    kind: "signature",
    id: v7(),
    jobId,
    madeAt: new Date().toISOString(),
    saw: [openingId, ...payloads.map(({ id }) => id)],
    stages: [{ stageId: stage.id, provisional, nextDate }],
    comment,
  };
  await putOnItsWay({ id: signature.id, jobId, url, payload: signature });
  return accept(jobId);
}

/** What a quick job would leave provisional, told before it is signed. */
export function quickProvisional(kit: Kit, stage: Stage, work: readonly Work[]) {
  const making = {
    job: {
      id: "" as JobId,
      machineId: kit.machine.id,
      stageIds: [],
      reason: "",
      openedBy: kit.person.id,
      openedAt: "",
      signedEntry: null,
    },
    stages: [stage],
    instruments: kit.instruments,
    before: kit.before,
    person: kit.person,
    leftOff: kit.leftOff,
  };
  const waiting = work.map((item, i) => ({
    id: String(i),
    jobId: "",
    order: i,
    payload: { ...item, id: String(i), stageId: stage.id, madeAt: kit.now },
  }));
  return jobRecord([...(kit.leftOff ?? []), ...withWaiting([], waiting, making)], stage).provisional;
}
