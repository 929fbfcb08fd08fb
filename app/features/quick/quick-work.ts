import type { Reader } from "~/app/features/words/reader";
import { unitOf } from "~/core/advice";
import { type Refusal, refuse } from "~/core/quantity";
import type { Machine, Stage } from "~/core/records";
import type { Work } from "~/operations/build-entry";
import { isDay } from "~/ui/date-field";
import { type Method, methodInput } from "../job/read/method";
import { parseAmount } from "../words/amount";
import type { noLocks } from "../words/state";
import { type Read, typedOf, type Way } from "./read-one";

/** What stands on the quick screen. */
export type QuickTyped = {
  way: Way;
  gear: string;
  lock: string;
  /** What was done in place of a lock. */
  noLock: (typeof noLocks)[number] | null;
  safe: boolean;
  found: Read;
  left: Read;
  moved: "no" | "plus" | "minus";
  amount: string;
  clamped: boolean;
  comment: string;
  nextDate: string;
};

const unread: Read = { typed: "", felt: null };

export const nothingTyped = (way: Way): QuickTyped => ({
  way,
  gear: "",
  lock: "",
  noLock: null,
  safe: false,
  found: unread,
  left: unread,
  moved: "no",
  amount: "",
  clamped: false,
  comment: "",
  nextDate: "",
});

const airWords: Record<Machine["air"], string> = {
  yes: "air vented, ",
  unknown: "air, if there is any, vented, ",
  no: "",
};

/** The one thing that is asked here; nothing else is said to have been acknowledged. A machine kept on a tablet by an earlier release says nothing of air. */
export const quickSafe = ({ air = "unknown" }: Partial<Pick<Machine, "air">>) => ({
  key: "quick-safe",
  text: `Supply isolated and proved dead, ${airWords[air]}loads and springs held.`,
});

const amountOf = (reader: Reader, { adjuster: { adjuster } }: Stage, { amount }: QuickTyped) =>
  parseAmount(reader, amount, adjuster ? unitOf(adjuster) : "mm");

export const hasRead = (way: Way, read: Read): boolean =>
  way === "feel" ? read.felt !== null : read.typed.trim() !== "";

/** What is missing or cannot be meant, at the name of its field; null where it can be signed. */
export function quickFault(reader: Reader, stage: Stage, typed: QuickTyped): Refusal | null {
  const { way, found, left, moved, nextDate, safe } = typed;
  if (!safe) return refuse("not-safe", ["safe"]).refusal;
  if (!hasRead(way, found) && !hasRead(way, left)) return refuse("empty", ["found"]).refusal;
  const amount = amountOf(reader, stage, typed);
  if (moved !== "no" && !amount.ok) return { ...amount.refusal, path: ["amount"] };
  if (nextDate && !isDay(nextDate)) return refuse("not-understood", ["nextDate"]).refusal;
  return null;
}

/**
 * The entries that it makes, in the order in which it was done.
 *
 * @param gear whose stop is moved, of a stage whose gears rest against stops of their own; `stage` is then with that gear in
 */
export function quickWork(
  reader: Reader,
  { machine, stage }: { machine: Partial<Pick<Machine, "air">>; stage: Stage },
  method: Method,
  tooth: number,
  typed: QuickTyped,
  gear?: string | undefined,
): Work[] {
  const { way, safe, lock, noLock, found, left, moved, clamped } = typed;
  const reading = (read: Read, phase: "as-found" | "check"): Work[] => {
    if (!hasRead(way, read)) return [];
    if (way === "feel" && read.felt !== null)
      return [{ kind: "feel", phase, method: "by hand", places: [{ tooth, feel: read.felt }], gear: method.gear }];
    return [
      {
        kind: "round",
        phase,
        method: methodInput(method),
        readings: [{ tooth, turn: 1, typed: typedOf(read, method), struck: false, repeats: null }],
        carries: true,
      },
    ];
  };
  const isolated: Work = {
    kind: "isolated",
    lock: noLock ? "" : lock,
    noLock: noLock && { key: noLock.key, text: noLock.text },
    acknowledged: [quickSafe(machine)],
    notAcknowledged: [],
  };
  const before = [...(safe ? [isolated] : []), ...reading(found, "as-found")];
  if (moved === "no") return before;
  const amount = amountOf(reader, stage, typed);
  const size = amount.ok ? amount.value : Number.NaN;
  const { points, passes } = stage.geometry.clamps;
  return [
    ...before,
    {
      kind: "move",
      amount: moved === "plus" ? size : -size,
      did: "otherwise",
      advised: null,
      reasons: [],
      note: "Quick touch",
      gear,
      adjusterId: stage.adjuster.id,
    },
    ...(clamped ? points.map((_, i): Work => ({ kind: "clamp", clamp: i + 1, pass: passes, state: "firm" })) : []),
    ...reading(left, "check"),
  ];
}
