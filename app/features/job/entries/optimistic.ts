import { v5 } from "uuid";
import { type Entry, jobRecord, type MachineShaft, outstandingOf, signedRecord } from "~/core/logbook";
import { accept, type Result } from "~/core/quantity";
import type { Instrument, Job, PersonId, Stage } from "~/core/records";
import { buildEntry, workInput } from "~/operations/build-entry";
import { checkInput } from "~/operations/input";
import type { TapeEntry } from "../../logbook/tape";
import type { Waiting } from "../../offline/waiting-store";
import type { StageBefore } from "./stage-before";

/** What an entry on its way is built from: the job as it is known here, and who works on it. */
export type Making = {
  job: Job;
  stages: readonly Stage[];
  instruments: readonly Instrument[];
  before: readonly StageBefore[];
  /** What other jobs took off the machine and left off. */
  leftOff?: readonly Entry[];
  shafts?: readonly MachineShaft[];
  person: { id: PersonId; name: string };
};

/** The server's entries with what waits as if it were there already, in its order. */
export function withWaiting(served: readonly Entry[], waiting: readonly Waiting[], making: Making): TapeEntry[] {
  const entries: TapeEntry[] = [...served];
  for (const { payload, refusal, id } of waiting) {
    const there = (entryId: string) => entries.some((entry) => entry.id === entryId);
    if (refusal || there(id)) continue;
    // An opening goes under the job's id, and its entry has one of its own.
    for (const made of madeOf(payload, entries, making)) if (!there(made.id)) entries.push({ ...made, waiting: true });
  }
  return entries;
}

function madeOf(payload: Waiting["payload"], entries: readonly Entry[], making: Making): Entry[] {
  if (payload.kind === "signature") return signatures(payload, entries, making);
  if (payload.kind === "job-opened") return [opening(payload, making)];
  const built = optimistic(payload, entries, making);
  return built.ok ? [built.value] : [];
}

/** What the server will make of an entry, made here until it does. */
export function optimistic(payload: Waiting["payload"], entries: readonly Entry[], making: Making): Result<Entry> {
  const work = checkInput(workInput, payload);
  if (!work.ok) return work;
  const stage = making.stages.find((candidate) => candidate.id === payload.stageId) ?? making.stages[0];
  if (!stage) throw new Error("a job without a stage");
  const before = making.before.find((item) => item.stageId === stage.id) ?? { known: [], moved: 0 };
  const built = buildEntry(
    work.value,
    stage,
    making.instruments,
    [...(making.leftOff ?? []), ...entries],
    making.stages,
    before,
    making.shafts ?? [],
  );
  if (!built.ok) return built;
  return accept({
    ...envelope(payload, payload.id, entries, making),
    stageId: stage.id,
    kind: work.value.kind,
    geometryId: stage.geometry.id,
    adjusterId: stage.adjuster.id,
    limitsId: stage.limits?.id ?? null,
    ...built.value,
  } as Entry);
}

const envelope = (payload: Waiting["payload"], id: string, entries: readonly Entry[], { job, person }: Making) => ({
  id,
  machineId: job.machineId,
  seq: (entries[entries.length - 1]?.seq ?? 0) + 1,
  jobId: job.id,
  namesEntry: null,
  madeBy: person.id,
  madeByName: person.name,
  madeAt: payload.madeAt,
  recordedAt: payload.madeAt,
  usage: null,
  readings: [],
});

const opening = (payload: Waiting["payload"], making: Making): Entry =>
  ({
    ...envelope(payload, String(payload.entryId), [], making),
    stageId: null,
    kind: "job-opened",
    body: { reason: payload.reason, ...(payload.firstBuild ? { firstBuild: true } : {}) },
    geometryId: null,
    adjusterId: null,
    limitsId: null,
  }) as Entry;

function signatures(payload: Waiting["payload"], entries: readonly Entry[], making: Making): Entry[] {
  const said = payload.stages as { stageId: string; nextDate: string | null }[];
  return making.stages.map((stage, i) => {
    const record = jobRecord([...(making.leftOff ?? []), ...entries], stage);
    const made = envelope(payload, i === 0 ? payload.id : v5(stage.id, payload.id), entries, making);
    return {
      ...made,
      seq: made.seq + i,
      stageId: stage.id,
      kind: "signature",
      body: {
        record: signedRecord(record, stage),
        comment: payload.comment,
        nextDate: said.find((part) => part.stageId === stage.id)?.nextDate ?? null,
        provisional: record.provisional,
        saw: payload.saw as string[],
        unproven: record.unproven,
        ...outstandingOf(record),
      },
      geometryId: stage.geometry.id,
      adjusterId: stage.adjuster.id,
      limitsId: stage.limits?.id ?? null,
    } as Entry;
  });
}
