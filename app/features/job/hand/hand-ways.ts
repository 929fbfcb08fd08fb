import { canBeFelt, type RoundPhase, takesPaper } from "~/core/logbook";
import type { ReadFirst } from "~/core/records";
import { judgedBy, printable, type StageElement } from "~/core/stages";

/** Ways to read a stage by hand. */
export const handWays = ["feel", "paper", "print", "pins"] as const;
export type HandWay = (typeof handWays)[number];

export const handWayWords: Record<HandWay, string> = {
  feel: "By feel",
  paper: "By paper",
  print: "By print",
  pins: "By pins",
};

/** What can be done on this element, the usual one first. */
export function handWaysOf(element: StageElement): HandWay[] {
  const mesh = takesPaper(element);
  const can: Record<HandWay, boolean> = {
    feel: canBeFelt(element),
    paper: mesh,
    print: printable(element) !== null,
    pins: mesh || judgedBy(element) === "gap",
  };
  return handWays.filter((way) => can[way]);
}

/** Looked for in this order: what was chosen for one station holds for those behind it until another way is chosen there. */
const before: Record<RoundPhase, readonly RoundPhase[]> = {
  "as-found": ["as-found"],
  set: ["set", "as-found"],
  check: ["check", "set", "as-found"],
};

/** How the stage is read at a station, as the house does where nobody chose; null: by number. */
export function handWayAt(
  element: StageElement,
  phase: RoundPhase,
  texts: Readonly<Record<string, string>>,
  readFirst: ReadFirst = "numbers",
): HandWay | null {
  const chosen = before[phase].map((station) => texts[`way.${station}`]).find(Boolean) ?? readFirst;
  return handWaysOf(element).find((way) => way === chosen) ?? null;
}
