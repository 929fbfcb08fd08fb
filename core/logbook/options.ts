import { type Entry, type EntryOf, isKind } from "./entry";
import { voidedBy } from "./job-record";

/** Ways that stand beside each other for a stage or an assembly, each as it was last said: chosen first, then open, those that lost last. */
export function optionsOf(entries: readonly Entry[]): EntryOf<"option">[] {
  const voided = voidedBy(entries);
  const last = new Map<string, EntryOf<"option">>();
  for (const entry of entries.filter(isKind("option")))
    if (!voided.has(entry.id)) last.set(`${entry.body.assembly ?? ""} ${entry.body.name}`.toLowerCase(), entry);
  const order = { chosen: 0, open: 1, lost: 2 };
  return [...last.values()].sort((a, b) => order[a.body.outcome] - order[b.body.outcome] || b.seq - a.seq);
}
