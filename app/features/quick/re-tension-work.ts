import type { Reader } from "~/app/features/words/reader";
import { centreChange, unitOf } from "~/core/advice";
import { type Refusal, refuse } from "~/core/quantity";
import type { Machine, Stage } from "~/core/records";
import type { Feel } from "~/core/stages";
import type { Work } from "~/operations/build-entry";
import { isDay } from "~/ui/date-field";
import { parseAmount } from "../words/amount";
import { lengthWords } from "../words/spoken";
import type { noLocks } from "../words/state";
import { quickSafe } from "./quick-work";

export const tensionSteps = ["loosened", "pushed", "tightened"] as const;
export type TensionStep = (typeof tensionSteps)[number];

/** What stands on the screen. */
export type ReTensionTyped = {
  safe: boolean;
  lock: string;
  noLock: (typeof noLocks)[number] | null;
  found: Feel | null;
  left: Feel | null;
  /** How far it moves to and fro by hand in mid-span, in all, where somebody read it. */
  foundWay: string;
  leftWay: string;
  done: readonly TensionStep[];
  /** How far it was pushed, in the adjuster's unit; empty: nobody measured it. */
  push: string;
  nextDate: string;
};

export const nothingDone: ReTensionTyped = {
  safe: false,
  lock: "",
  noLock: null,
  found: null,
  left: null,
  foundWay: "",
  leftWay: "",
  done: [],
  push: "",
  nextDate: "",
};

const pushOf = (reader: Reader, { adjuster: { adjuster } }: Stage, { push }: ReTensionTyped) =>
  push.trim() === "" ? null : parseAmount(reader, push, adjuster ? unitOf(adjuster) : "mm");

/** What is missing or cannot be meant, at the name of its field. */
export function reTensionFault(reader: Reader, stage: Stage, typed: ReTensionTyped): Refusal | null {
  if (!typed.safe) return refuse("not-safe", ["safe"]).refusal;
  for (const field of ["foundWay", "leftWay"] as const) {
    const read = typed[field].trim() === "" ? null : parseAmount(reader, typed[field], "mm");
    if (read && !read.ok) return { ...read.refusal, path: [field] };
    if (read && read.value < 0) return refuse("below-nothing", [field]).refusal;
  }
  if (typed.found === null && typed.foundWay.trim() === "") return refuse("empty", ["found"]).refusal;
  const push = pushOf(reader, stage, typed);
  if (push && !push.ok) return { ...push.refusal, path: ["push"] };
  if (push && push.value <= 0) return refuse("too-small", ["push"]).refusal;
  if (typed.nextDate && !isDay(typed.nextDate)) return refuse("not-understood", ["nextDate"]).refusal;
  return null;
}

/** The entries that it makes, in the order in which it was done. A push that nobody measured is a note, never an amount. */
export function reTensionWork(
  reader: Reader,
  { machine, stage }: { machine: Partial<Pick<Machine, "air">>; stage: Stage },
  typed: ReTensionTyped,
): Work[] {
  const { safe, lock, noLock, found, left, foundWay, leftWay, done } = typed;
  const { points, passes } = stage.geometry.clamps;
  const clamps = (state: "eased" | "firm"): Work[] =>
    points.length === 0
      ? [{ kind: "note", text: state === "eased" ? "Loosened for re-tensioning" : "Tightened again" }]
      : points.map((_, i) => ({ kind: "clamp", clamp: i + 1, pass: state === "firm" ? passes : 0, state }));
  const feel = (word: Feel | null, phase: "as-found" | "check"): Work[] =>
    word === null ? [] : [{ kind: "feel", phase, method: "by hand", places: [{ tooth: 1, feel: word }] }];
  const way = (text: string, when: string): Work[] => {
    const read = text.trim() === "" ? null : parseAmount(reader, text, "mm");
    return read?.ok
      ? [
          {
            kind: "note",
            text: `Moves to and fro ${lengthWords(reader, read.value, 1)} in all in mid-span, by hand, ${when}`,
          },
        ]
      : [];
  };
  const isolated: Work = {
    kind: "isolated",
    lock: noLock ? "" : lock,
    noLock: noLock && { key: noLock.key, text: noLock.text },
    acknowledged: [quickSafe(machine)],
    notAcknowledged: [],
  };
  return [
    ...(safe ? [isolated] : []),
    ...feel(found, "as-found"),
    ...way(foundWay, "as found"),
    ...(done.includes("loosened") ? clamps("eased") : []),
    ...(done.includes("pushed") || typed.push.trim() !== "" ? [pushed(reader, stage, typed)] : []),
    ...(done.includes("tightened") ? clamps("firm") : []),
    ...feel(left, "check"),
    ...way(leftWay, "as left"),
  ];
}

function pushed(reader: Reader, stage: Stage, typed: ReTensionTyped): Work {
  const { adjuster } = stage;
  const push = pushOf(reader, stage, typed);
  if (!push?.ok || !adjuster.adjuster)
    return { kind: "note", text: `${adjuster.name}: pushed by hand to take up slack; how far was not measured` };
  // Taking slack up parts the centres.
  const sign = Math.sign(centreChange(adjuster.adjuster, push.value)) || 1;
  return {
    kind: "move",
    amount: sign * push.value,
    did: "otherwise",
    advised: null,
    reasons: [],
    note: "Re-tensioned",
    adjusterId: adjuster.id,
  };
}
