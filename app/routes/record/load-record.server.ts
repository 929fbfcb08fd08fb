import { data } from "react-router";
import type { Printer } from "~/app/background/printer.server";
import { download, fileName } from "~/app/features/export/download.server";
import { headWords } from "~/app/features/record/head-words";
import type { OnPage } from "~/app/features/record/on-page";
import type { Printed } from "~/app/features/record/printed";
import { glanceOf } from "~/app/features/stage/stage-glance";
import { noLimits } from "~/app/features/words/limit-words";
import { stageUnit } from "~/app/features/words/quantity";
import { readerOf } from "~/app/features/words/reader";
import { findJob } from "~/app/routes/job/load-job.server";
import { isId } from "~/app/session/is-id";
import type { Database } from "~/data/postgres";
import { entriesOfJob, logbookFrom } from "~/data/queries/entries";
import { instrumentsOfWorkshop } from "~/data/queries/instruments";
import { headOf, machineById } from "~/data/queries/machines";
import { stagesById, stagesOfMachines } from "~/data/queries/stages";
import { standingsOfStages } from "~/data/queries/standings";
import type { Context } from "~/operations/context";
import { dayIn } from "~/operations/day-in";
import { exportLogbook } from "~/operations/export-logbook";
import type { SealKey } from "~/operations/seal";
import { entriesAsCsv } from "./csv.server";

/** Everything that the record of a job shows. */
export async function loadJobRecord(asked: Context, jobId: string) {
  const { pool, person } = asked;
  const job = await findJob(asked, jobId);
  const machine = job && (await machineById(pool, person.workshopId, job.machineId));
  if (!job || !machine) throw data({ code: "no-such-job" }, { status: 404 });
  const [found, entries, instruments, head] = await Promise.all([
    stagesById(pool, job.stageIds),
    entriesOfJob(pool, job.id),
    instrumentsOfWorkshop(pool, person.workshopId),
    endOf(pool, machine.id),
  ]);
  const stages = job.stageIds.flatMap((id) => found.find((stage) => stage.id === id) ?? []);
  return { job, machine, stages, entries, instruments, head, now: asked.now.toISOString() };
}
export type LoadedRecord = Awaited<ReturnType<typeof loadJobRecord>>;

const findMachine = async ({ pool, person }: Context, machineId: string) => {
  const machine = isId(machineId) ? await machineById(pool, person.workshopId, machineId) : null;
  if (!machine) throw data({ code: "no-such-machine" }, { status: 404 });
  return machine;
};

export async function jobFile(asked: Context, key: SealKey, jobId: string, ending: "csv" | "json"): Promise<Response> {
  const { machine, stages, entries, job, head } = await loadJobRecord(asked, jobId);
  const name = fileName(`${machine.tag} job ${dayIn(job.openedAt, asked.person.timeZone)} ${headWords(head)}`, ending);
  if (ending === "json")
    return download(exportLogbook(asked.pool, machine, asked.now, key, job.id), "application/json", name);
  const reader = readerOf(asked.person, machine);
  async function* csv() {
    yield entriesAsCsv(reader, entries, stages, true);
  }
  return download(csv(), "text/csv; charset=utf-8", name);
}

const pageSize = 300;

export async function machineFile(
  asked: Context,
  key: SealKey,
  machineId: string,
  ending: "csv" | "json",
): Promise<Response> {
  const machine = await findMachine(asked, machineId);
  const head = await endOf(asked.pool, machine.id);
  const name = fileName(`${machine.tag} ${headWords(head)}`, ending);
  if (ending === "json") return download(exportLogbook(asked.pool, machine, asked.now, key), "application/json", name);
  const stages = await stagesOfMachines(asked.pool, [machine.id]);
  const reader = readerOf(asked.person, machine);
  async function* csv() {
    for (let after = 0, first = true; ; first = false) {
      const page = await logbookFrom(asked.pool, machine.id, after, pageSize);
      yield entriesAsCsv(reader, page, stages, first);
      if (page.length < pageSize) return;
      after = page[page.length - 1]?.seq ?? after;
    }
  }
  return download(csv(), "text/csv; charset=utf-8", name);
}

const printedEntries = 400;

/** The newest entries of a machine, to be printed; the whole is in the files. */
export async function loadMachineRecord(asked: Context, machineId: string) {
  const machine = await findMachine(asked, machineId);
  const head = await endOf(asked.pool, machine.id);
  const [stages, entries] = await Promise.all([
    stagesOfMachines(asked.pool, [machine.id]),
    logbookFrom(asked.pool, machine.id, Math.max(0, head.seq - printedEntries), printedEntries),
  ]);
  const standings = await standingsOfStages(
    asked.pool,
    stages.map(({ id }) => id),
  );
  const reader = readerOf(asked.person, machine);
  const stands = stages.map((stage) => ({
    ...glanceOf(reader, stage, standings.find(({ stageId }) => stageId === stage.id) ?? null),
    within: stage.limits
      ? `limits ${stageUnit(reader, stage.geometry.element).range(stage.limits.lo, stage.limits.hi)}`
      : noLimits,
  }));
  return { machine, stages, stands, entries, head, now: asked.now.toISOString() };
}

/** The paper of a machine or a job, made beside the server; the same one again while nothing was entered on the machine. */
export async function printedPaper(
  asked: Context,
  printer: Printer,
  paper: Omit<Printed, "reader">,
  onPage?: OnPage,
): Promise<Uint8Array> {
  const { machine, head, now } = (paper as Printed).record;
  const reader = readerOf(asked.person, machine);
  const of =
    "job" in (paper as Printed).record ? (paper as { record: { job: { id: string } } }).record.job.id : machine.id;
  const key = [of, head.hash, dayIn(now, reader.zone), reader.decimal, reader.units, reader.asMachine].join(" ");
  return printer.print(key, { ...paper, reader } as Printed, onPage);
}

const endOf = async (db: Database, machineId: string) => {
  const { count, hash } = await headOf(db, machineId);
  return { seq: count, hash: hash.toString("hex") };
};
