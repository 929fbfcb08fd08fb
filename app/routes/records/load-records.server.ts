import { entryWords } from "~/app/features/words/entry";
import { inUnitsOf, readerOf } from "~/app/features/words/reader";
import type { Entry } from "~/core/logbook";
import { machinesById } from "~/data/queries/machines";
import { accountsOfWorkshop } from "~/data/queries/people";
import { foundPage, keptInAll, oldestEntry } from "~/data/queries/search";
import { stagesById } from "~/data/queries/stages";
import type { Context } from "~/operations/context";
import { isAnything, type RecordsAsked, soughtOf } from "./asked";

const pageSize = 40;

/** Entries with where they are of, in words for whoever reads. */
export async function saidWhere({ pool, person }: Context, entries: readonly Entry[]) {
  const [machines, stages] = await Promise.all([
    machinesById(pool, person.workshopId, [...new Set(entries.map(({ machineId }) => machineId))]),
    stagesById(pool, [...new Set(entries.flatMap(({ stageId }) => (stageId ? [stageId] : [])))]),
  ]);
  const reader = readerOf(person);
  return entries.map((entry) => {
    const machine = machines.find(({ id }) => id === entry.machineId);
    const stage = stages.find(({ id }) => id === entry.stageId);
    const { title, detail } = entryWords(machine ? inUnitsOf(reader, machine) : reader, entry, stage);
    return {
      ...{ id: entry.id, seq: entry.seq, kind: entry.kind, jobId: entry.jobId },
      ...{ machineId: entry.machineId, machineName: machine?.name ?? "", tag: machine?.tag ?? "" },
      ...{ stageName: stage?.name ?? "", madeAt: entry.madeAt, madeByName: entry.madeByName, title, detail },
    };
  });
}

/** What was found in all logbooks of the workshop, newest first; and how much they hold. */
export async function loadRecords(context: Context, asked: RecordsAsked) {
  const { pool, person } = context;
  const any = isAnything(asked);
  const [found, people, kept, oldest] = await Promise.all([
    any ? foundPage(pool, person.workshopId, person.timeZone, soughtOf(asked), asked.before, pageSize + 1) : [],
    accountsOfWorkshop(pool, person.workshopId),
    keptInAll(pool, person.workshopId),
    // A book to practise in tells nothing of the others.
    person.practising ? null : oldestEntry(pool),
  ]);
  const shown = found.slice(0, pageSize);
  const last = shown[shown.length - 1];
  return {
    lines: await saidWhere(context, shown),
    older: found.length > pageSize && last ? { at: last.madeAt, id: last.id } : null,
    people: people.map(({ id, name }) => ({ id, name })),
    ...{ asked, any, kept, oldest },
  };
}
