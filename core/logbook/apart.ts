import { type Binding, type BuildStep, binding, type ScrewState } from "../guides";
import { type Entry, type EntryOf, isKind } from "./entry";
import type { PartNamed, ScrewsBack } from "./schema";

/** A part that was taken off, put on, or both. */
export type PartNow = PartNamed & {
  /** By which it last came off; null: it was put on and never taken off, as in a first build. */
  off: EntryOf<"part-off"> | null;
  /** By which it went on again since. */
  on: EntryOf<"part-on"> | null;
  /** Of what came out, how many are in. */
  screws: ScrewsBack[];
  /** null: it has no screws, or is off. */
  state: ScrewState | null;
  /** Screws dressed with compound one by one, while not all of them are. */
  dressed: number;
  /** As last measured against its seat. */
  seat: EntryOf<"seat"> | null;
};

/** Pieces that do not add up: fewer in than came out, or more. */
export type Unaccounted = { part: PartNamed; what: string; pieces: number };

export type Account = { out: number; back: number };

/** What a job's entries add up to on what was taken apart. */
export type Apart = {
  /** In the order in which they first came off or went on. */
  parts: PartNow[];
  /** Still off; the one that came off last, and so goes on first, at the front. */
  off: PartNow[];
  account: { parts: Account; screws: Account; washers: Account };
  /** Parts whose screws nobody counted as they came out. */
  uncounted: PartNow[];
  missing: Unaccounted[];
  over: Unaccounted[];
  /** On, and their screws not firm yet. */
  slack: PartNow[];
  steps: BuildStep[];
  /** Who makes it bind; null: it turned freely when it was last turned, or nobody has turned it. */
  binds: Binding | null;
  /** Whether something came on or was tightened since it was last turned as built. */
  toTurn: boolean;
};

const handled = new Set<Entry["kind"]>([
  "part-off",
  "part-on",
  "part-screws",
  "turned",
  "seat",
  "part-work",
  "shaft",
  "measured",
]);

/** Whether an entry is of taking apart and building up. */
export const isOfParts = (entry: Entry): boolean => handled.has(entry.kind);

/** Entries in order of their numbers, without those that a correction voids. */
export function apartOf(entries: readonly Entry[]): Apart {
  const parts = new Map<string, PartNow>();
  const steps: BuildStep[] = [];
  let toTurn = false;
  for (const entry of entries) {
    if (entry.kind === "turned") {
      steps.push({ did: "turned", way: entry.body.way, feel: entry.body.feel });
      if (entry.body.way === "as built") toTurn = false;
      continue;
    }
    const changed = partAfter(entry, (key) => parts.get(key));
    if (!changed) continue;
    parts.set(changed.key, changed);
    if (entry.kind === "seat") continue;
    const did = entry.kind === "part-off" ? "off" : entry.kind === "part-on" ? "on" : "screws";
    steps.push({ did, part: changed.key });
    if (did !== "off") toTurn = true;
  }
  const all = [...parts.values()];
  const wereOff = all.filter(({ off }) => off !== null);
  const off = wereOff.filter(({ on }) => on === null).sort((a, b) => (b.off?.seq ?? 0) - (a.off?.seq ?? 0));
  const on = all.filter((part) => part.on !== null);
  return {
    parts: all,
    off,
    account: {
      parts: { out: wereOff.length, back: wereOff.length - off.length },
      screws: accountOf(wereOff, (set) => [set.count, set.in]),
      washers: accountOf(wereOff, (set) => [set.washers, set.washersIn]),
    },
    uncounted: wereOff.filter((part) => part.off?.body.screws === null),
    missing: on.flatMap((part) => unaccounted(part, 1)),
    over: on.flatMap((part) => unaccounted(part, -1)),
    slack: on.filter(({ state }) => state === "started" || state === "snug"),
    steps,
    binds: binding(steps),
    toTurn,
  };
}

/** The part that an entry speaks of, as it is after it; null where it speaks of none. */
function partAfter(entry: Entry, before: (key: string) => PartNow | undefined): PartNow | null {
  switch (entry.kind) {
    case "part-off": {
      const { part, screws } = entry.body;
      const sets = (screws ?? []).map((set) => ({ ...set, in: 0, washersIn: 0 }));
      const seat = before(part.key)?.seat ?? null;
      return { ...part, off: entry, on: null, screws: sets, state: null, dressed: 0, seat };
    }
    case "part-on": {
      const { part, screws, state } = entry.body;
      const was = before(part.key);
      return { ...part, off: was?.off ?? null, on: entry, screws, state, dressed: 0, seat: was?.seat ?? null };
    }
    case "part-screws": {
      const was = before(entry.body.part.key);
      if (!was) return null;
      const { screws, state, dressed = 0 } = entry.body;
      return { ...was, screws, state, dressed };
    }
    case "seat": {
      const was = before(entry.body.part.key);
      const none = { off: null, on: null, screws: [], state: null, dressed: 0 };
      return { ...none, ...entry.body.part, ...was, seat: entry };
    }
    default:
      return null;
  }
}

const accountOf = (parts: readonly PartNow[], of: (set: ScrewsBack) => [number, number]): Account =>
  parts
    .flatMap(({ screws }) => screws.map(of))
    .reduce((sum, [out, back]) => ({ out: sum.out + out, back: sum.back + back }), { out: 0, back: 0 });

/** Of a part that is on again: sizes of which fewer are in than came out (1), or more (-1). */
function unaccounted({ key, name, screws }: PartNow, sign: 1 | -1): Unaccounted[] {
  const part = { key, name };
  return screws.flatMap((set) =>
    [
      { part, what: screwName(set), pieces: sign * (set.count - set.in) },
      { part, what: `washer of ${screwName(set)}`, pieces: sign * (set.washers - set.washersIn) },
    ].filter(({ pieces }) => pieces > 0),
  );
}

/** "M4 × 12", as it stands on the bag. */
export const screwName = ({ size, lengthMm }: { size: string; lengthMm: number | null }): string =>
  lengthMm === null ? size : `${size} × ${lengthMm}`;

/** How often a part was filed or reamed, counted from its tries in the log. */
export const filedOn = (entries: readonly Entry[], key: string): number =>
  without(entries)
    .filter(isKind("turned"))
    .filter(({ body }) => body.after?.part.key === key && body.did.includes("filed")).length;

/** Entries that no correction voids. */
function without(entries: readonly Entry[]): Entry[] {
  const voided = new Set(
    entries.filter(isKind("correction")).flatMap(({ body, namesEntry }) => (body.voids ? [namesEntry] : [])),
  );
  return entries.filter(({ id }) => !voided.has(id));
}
