import Papa from "papaparse";
import { accept, type Result, refuse } from "../core/quantity";

export const movedWords = ["no", "yes", "unknown"] as const;
export type MovedAfter = (typeof movedWords)[number];

/** A round as it stood on paper: each day is one. */
export type PaperRound = {
  /** "2024-05-31" */
  date: string;
  readings: { tooth: number; turn: number; typed: string; struck: boolean; repeats: number | null; line: number }[];
  /** Empty: the sheet does not say. */
  keptBy: string;
  /** null: the sheet does not say. */
  movedAfter: MovedAfter | null;
};

const columns = {
  date: ["date", "day"],
  place: ["place", "tooth", "link"],
  value: ["value", "reading", "typed"],
  turn: ["turn"],
  struck: ["struck out", "struck"],
  keptBy: ["kept by", "by"],
  moved: ["moved after", "set after"],
} as const;
type Column = keyof typeof columns;
const needed: readonly Column[] = ["date", "place", "value"];

const mostLines = 5000;
const mostRounds = 400;

/**
 * What a sheet says of rounds kept on paper: a head that names its columns, then a reading a line. Lines of one day are one round; the same
 * place of the same turn again is a repeat.
 *
 * @returns oldest first; refusals name the line, from 1 for the head, and the column
 */
export function readPaper(text: string): Result<PaperRound[]> {
  const { data: rows } = Papa.parse<string[]>(text.replace(/^\uFEFF/, ""), { skipEmptyLines: "greedy" });
  const [head, ...body] = rows;
  const at = {} as Record<Column, number>;
  for (const column of Object.keys(columns) as Column[])
    at[column] = (head ?? []).findIndex((cell) =>
      (columns[column] as readonly string[]).includes(cell.trim().toLowerCase()),
    );
  const lacking = needed.find((column) => at[column] < 0);
  if (lacking) return refuse("column-missing", ["lines", 1, lacking], { name: columns[lacking][0] });
  if (body.length === 0) return refuse("no-lines", ["lines"]);
  if (body.length > mostLines) return refuse("too-many-lines", ["lines"], { given: body.length, most: mostLines });
  const rounds = new Map<string, PaperRound>();
  for (const [i, row] of body.entries()) {
    const line = i + 2;
    const cell = (column: Column): string => (at[column] < 0 ? "" : (row[at[column]] ?? "").trim());
    const wrong = (column: Column, code: "not-understood" | "missing") => refuse(code, ["lines", line, column]);
    const date = dayIn(cell("date"));
    if (date === null) return wrong("date", cell("date") === "" ? "missing" : "not-understood");
    const tooth = wholeIn(cell("place"));
    if (tooth === null) return wrong("place", "not-understood");
    const turn = cell("turn") === "" ? 1 : wholeIn(cell("turn"));
    if (turn === null) return wrong("turn", "not-understood");
    if (cell("value") === "") return wrong("value", "missing");
    const struck = yesIn(cell("struck"));
    const moved = yesIn(cell("moved"));
    if (struck === null) return wrong("struck", "not-understood");
    if (moved === null) return wrong("moved", "not-understood");
    const round = rounds.get(date) ?? { date, readings: [], keptBy: "", movedAfter: null };
    const first = round.readings.findIndex((one) => one.tooth === tooth && one.turn === turn);
    round.readings.push({
      ...{ tooth, turn, typed: cell("value").slice(0, 40), struck: struck === "yes", line },
      repeats: first < 0 ? null : first,
    });
    round.keptBy ||= cell("keptBy").slice(0, 80);
    round.movedAfter = moved === "" ? round.movedAfter : moved;
    rounds.set(date, round);
  }
  if (rounds.size > mostRounds) return refuse("too-many", ["lines"], { given: rounds.size, most: mostRounds });
  return accept([...rounds.values()].sort((a, b) => (a.date < b.date ? -1 : 1)));
}

/** "2024-05-31" or "31.5.2024" as the first; null: no such day. */
function dayIn(text: string): string | null {
  const iso = /^(\d{4})-(\d{1,2})-(\d{1,2})$/.exec(text);
  const points = /^(\d{1,2})\.(\d{1,2})\.(\d{4})$/.exec(text);
  const [year, month, day] = iso ? iso.slice(1) : points ? [points[3], points[2], points[1]] : [];
  if (!year || !month || !day) return null;
  const date = `${year}-${month.padStart(2, "0")}-${day.padStart(2, "0")}`;
  const at = new Date(`${date}T12:00:00Z`);
  return Number.isNaN(at.getTime()) || at.toISOString().slice(0, 10) !== date ? null : date;
}

const wholeIn = (text: string): number | null => (/^\d{1,4}$/.test(text) && Number(text) > 0 ? Number(text) : null);

/** Yes, no or nothing; null: something else. */
function yesIn(text: string): "yes" | "no" | "" | null {
  const word = text.toLowerCase();
  if (["yes", "y", "x", "1"].includes(word)) return "yes";
  if (["no", "n", "0"].includes(word)) return "no";
  return word === "" ? "" : null;
}
