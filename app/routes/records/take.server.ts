import Papa from "papaparse";
import { download } from "~/app/features/export/download.server";
import type { Entry } from "~/core/logbook";
import { foundPage } from "~/data/queries/search";
import type { Context } from "~/operations/context";
import { type RecordsAsked, soughtOf } from "./asked";
import { saidWhere } from "./load-records.server";

const pageSize = 200;
/** What one file takes: more is asked for by days. */
const mostEntries = 50_000;

async function* pages({ pool, person }: Context, asked: RecordsAsked): AsyncGenerator<Entry[]> {
  let before = asked.before;
  for (let taken = 0; taken < mostEntries; taken += pageSize) {
    const page = await foundPage(pool, person.workshopId, person.timeZone, soughtOf(asked), before, pageSize);
    if (page.length > 0) yield page;
    const last = page[pageSize - 1];
    if (!last) return;
    before = { at: last.madeAt, id: last.id };
  }
}

const columns = ["done at (UTC)", "machine", "tag", "stage", "number", "kind", "by", "what", "detail", "entry", "job"];

async function* asCsv(context: Context, asked: RecordsAsked): AsyncGenerator<string> {
  // A spreadsheet would take what begins with such a sign for a formula.
  const row = (cells: readonly unknown[]) => `${Papa.unparse([cells as unknown[]], { escapeFormulae: true })}\r\n`;
  yield row(columns);
  for await (const page of pages(context, asked))
    for (const e of await saidWhere(context, page))
      yield row([
        ...[e.madeAt, e.machineName, e.tag, e.stageName, e.seq, e.kind, e.madeByName],
        ...[e.title, e.detail, e.id, e.jobId ?? ""],
      ]);
}

async function* asJson(context: Context, asked: RecordsAsked): AsyncGenerator<string> {
  const { before: _, ...sought } = asked;
  yield `{"format":"harmostat-selection-1","takenAt":${JSON.stringify(context.now.toISOString())},"sought":${JSON.stringify(sought)},"entries":[`;
  let first = true;
  for await (const page of pages(context, asked)) {
    const said = await saidWhere(context, page);
    for (const [i, entry] of page.entries()) {
      const { machineName, tag, stageName, title, detail } = said[i] ?? {};
      yield `${first ? "\n" : ",\n"}${JSON.stringify({ ...entry, machineName, tag, stageName, title, detail })}`;
      first = false;
    }
  }
  yield "\n]}\n";
}

/** What was found, as a file that is written while it is read. */
export const takeFound = (context: Context, asked: RecordsAsked, as: "csv" | "json"): Response =>
  as === "csv"
    ? download(asCsv(context, asked), "text/csv; charset=utf-8", "records.csv")
    : download(asJson(context, asked), "application/json", "records.json");
