import type { EntryKind } from "~/core/logbook";

/** What one looks for in a logbook, by the words of the trade: each some kinds of entry. */
export const entryGroups = {
  readings: {
    words: "Readings",
    kinds: ["round", "paper-round", "side", "feel", "shift", "sweep", "measured", "seat"],
  },
  moves: { words: "Moves and screws", kinds: ["move", "clamp", "part-screws"] },
  parts: {
    words: "Parts off, on, replaced",
    kinds: ["part-off", "part-on", "part-work", "turned", "loose-thing", "shaft"],
  },
  runs: { words: "Runs", kinds: ["proof"] },
  symptoms: { words: "Symptoms and causes", kinds: ["symptom", "suspect"] },
  safety: { words: "Isolated and live", kinds: ["isolated", "live"] },
  signed: { words: "Signatures", kinds: ["signature", "countersignature"] },
  points: { words: "Open points", kinds: ["open-point", "point-closed"] },
  plan: { words: "Planned and given", kinds: ["plan", "assigned", "job-opened"] },
  care: { words: "Grease and looks", kinds: ["greased", "looked"] },
  changes: { words: "Changes of machine and limits", kinds: ["change", "correction", "usage"] },
  notes: { words: "Notes, photographs, tries", kinds: ["note", "attachment", "computation", "trial", "option"] },
} as const satisfies Record<string, { words: string; kinds: readonly EntryKind[] }>;
export type EntryGroup = keyof typeof entryGroups;

/** Every kind is in one of them, or this does not compile. */
type Grouped = (typeof entryGroups)[EntryGroup]["kinds"][number];
type Forgotten = Exclude<EntryKind, Grouped>;
export const noneForgotten: [Forgotten] extends [never] ? true : Forgotten = true;
