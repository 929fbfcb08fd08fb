import type { Head } from "../../data/queries/seals";

/** One machine's head on one line: day, machine, number, hash, name; for keeping elsewhere. */
export const headLine = (day: string, { machineId, seq, hash }: Head, name: string): string =>
  `${day} ${machineId} ${seq} ${hash} ${name}`;

export type KeptHead = Head & { line: number };

/** Heads that somebody kept elsewhere; lines that are none are told by their number. */
export function readHeads(text: string): { heads: KeptHead[]; unread: number[] } {
  const heads: KeptHead[] = [];
  const unread: number[] = [];
  text.split("\n").forEach((line, i) => {
    if (line.trim() === "" || line.startsWith("#")) return;
    const found = /^\d{4}-\d\d-\d\d ([0-9a-f-]{36}) (\d+) ([0-9a-f]{64})( |$)/.exec(line);
    const [, machineId, seq, hash] = found ?? [];
    if (machineId && seq && hash) heads.push({ machineId, seq: Number(seq), hash, line: i + 1 });
    else unread.push(i + 1);
  });
  return { heads, unread };
}
