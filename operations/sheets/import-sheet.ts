import Papa from "papaparse";
import { accept, type Refusal, type Result, refuse } from "../../core/quantity";
import { transactionIf, within } from "../../data/postgres";
import { type Context, checkRole } from "../context";
import { Cells } from "./cells";
import type { Fate, Sheet } from "./sheet";

export type LineFate = { line: number; name: string; fate: Fate; refusal?: Refusal };

export type SheetReport = {
  counts: Record<Fate, number>;
  /** Refused ones first, then the others, as many as a person can look through. */
  lines: LineFate[];
  saved: boolean;
};

const mostShown = 400;
const linesAtOnce = 1000;

/**
 * What a CSV sheet would do line by line, or with `save` does: all of it, or, where a line is refused, nothing. Only leads may.
 *
 * @param tell hears the share that is done, 0 to 1, now and then
 * @returns refused as a whole where the head has a strange, missing or doubled column, or where decimal signs are mixed
 */
export async function importSheet<T>(
  asked: Context,
  sheet: Sheet<T>,
  text: string,
  save: boolean,
  tell: (share: number) => Promise<void>,
): Promise<Result<SheetReport>> {
  const allowed = checkRole(asked.person, ["lead"]);
  if (!allowed.ok) return allowed;
  const rows = parsed(text);
  const head = headOf(sheet, rows[0] ?? []);
  if (!head.ok) return head;
  const body = rows.slice(1);
  if (body.length === 0) return refuse("no-lines", []);
  if (body.length > sheet.most) return refuse("too-many-lines", [], { given: body.length, most: sheet.most });
  const mixed = mixedSigns(sheet, head.value, body);
  if (mixed) return mixed;

  const { fates, good } = await checkLines(sheet, head.value, body, (share) => tell(0.3 * share));
  const wanted = () => save && fates.every(({ fate }) => fate !== "refused");
  // A look does what saving would do, and takes it back: what it says of a line is what would happen.
  const saved = await transactionIf(asked.pool, Boolean, async (db) => {
    const values = good.map(({ value }) => value);
    const done = await sheet.apply({ ...asked, pool: within(db) }, values, (share) => tell(0.3 + 0.7 * share));
    for (const [i, result] of done.entries()) {
      const fate = fates[good[i]?.index ?? -1];
      if (fate) Object.assign(fate, result.ok ? { fate: result.value } : { fate: "refused", refusal: result.refusal });
    }
    return wanted();
  });
  return accept(report(fates, saved));
}

type Checked<T> = { fates: LineFate[]; good: { index: number; value: T }[] };

/** What each line says by itself: what cannot be read, and what stands there twice, is refused already. */
async function checkLines<T>(
  sheet: Sheet<T>,
  head: readonly string[],
  body: readonly string[][],
  tell: (share: number) => Promise<void>,
): Promise<Checked<T>> {
  const checked: Checked<T> = { fates: [], good: [] };
  const seen = new Map<string, number>();
  for (const [index, row] of body.entries()) {
    if (index % linesAtOnce === 0) await tell(index / body.length);
    const line = index + 2;
    const read = readLine(sheet, head, row);
    const name = read.ok ? sheet.key(read.value) : row.slice(0, 2).join(", ").slice(0, 80);
    const before = read.ok ? seen.get(name.toLowerCase()) : undefined;
    const taken = before === undefined ? read : refuse("line-twice", [], { line: before });
    if (!taken.ok) checked.fates.push({ line, name, fate: "refused", refusal: taken.refusal });
    else {
      seen.set(name.toLowerCase(), line);
      checked.fates.push({ line, name, fate: "same" });
      checked.good.push({ index, value: taken.value });
    }
  }
  return checked;
}

function parsed(text: string): string[][] {
  const { data } = Papa.parse<string[]>(text.replace(/^\ufeff/, ""), { skipEmptyLines: "greedy" });
  return data;
}

/** Which column stands where. */
function headOf<T>({ columns }: Sheet<T>, head: readonly string[]): Result<string[]> {
  const named = head.map((cell) => cell.trim().toLowerCase());
  for (const [i, name] of named.entries()) {
    if (!columns.some((column) => column.name === name))
      return refuse("no-such-column", [], {
        name: name || `number ${i + 1}`,
        words: columns.map((c) => c.name).join(", "),
      });
    if (named.indexOf(name) !== i) return refuse("column-twice", [], { name });
  }
  const missing = columns.find(({ name, needed }) => needed && !named.includes(name));
  return missing ? refuse("column-missing", [], { name: missing.name }) : accept(named);
}

/** A sheet that writes some figures with a comma and others with a point has been through hands that nobody can follow. */
function mixedSigns<T>(
  { columns }: Sheet<T>,
  head: readonly string[],
  body: readonly string[][],
): Result<never> | null {
  const figures = head.flatMap((name, i) => (columns.find((column) => column.name === name)?.number ? [i] : []));
  const first: Partial<Record<"," | ".", number>> = {};
  for (const [index, row] of body.entries()) {
    for (const i of figures) {
      const sign = /\d([.,])\d/.exec(row[i] ?? "")?.[1] as "," | "." | undefined;
      if (!sign) continue;
      first[sign] ??= index + 2;
      const [point, comma] = [first["."], first[","]];
      if (point !== undefined && comma !== undefined) return refuse("mixed-decimal-signs", [], { point, comma });
    }
  }
  return null;
}

function readLine<T>(sheet: Sheet<T>, head: readonly string[], row: readonly string[]): Result<T> {
  if (row.length > head.length && row.slice(head.length).some((cell) => cell.trim() !== ""))
    return refuse("too-many-cells", [], { given: row.length, most: head.length });
  // What our own sheets put before a formula so that nothing works it out.
  const cells = new Map(head.map((name, i) => [name, (row[i] ?? "").replace(/^'(?=[=+\-@])/, "")]));
  const read = new Cells(cells);
  const line = sheet.read(read);
  return read.refusal ? read.done(undefined as never) : line;
}

function report(fates: readonly LineFate[], saved: boolean): SheetReport {
  const counts = { new: 0, changed: 0, same: 0, refused: 0 };
  for (const { fate } of fates) counts[fate] += 1;
  const order: Fate[] = ["refused", "changed", "new", "same"];
  const lines = order.flatMap((fate) => fates.filter((line) => line.fate === fate)).slice(0, mostShown);
  return { counts, lines, saved };
}

/** A sheet as text; cells that a spreadsheet would take for a formula are kept from it. */
export async function sheetText<T>(asked: Context, sheet: Sheet<T>): Promise<string> {
  const rows = [sheet.columns.map(({ name }) => name), ...(await sheet.rows(asked))];
  return `${Papa.unparse(rows, { escapeFormulae: true, newline: "\r\n" })}\r\n`;
}
