import { canBeFelt, takesPaper } from "~/core/logbook";
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

export const handWayIn = (element: StageElement, text: string | undefined): HandWay | null =>
  handWaysOf(element).find((way) => way === text) ?? null;
