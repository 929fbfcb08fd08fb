import type { ReactNode } from "react";
import { afterEachPart, partingWay, tightWords } from "~/app/features/kinds";
import type { FeltJudged } from "~/core/logbook";
import { type FeltAs, feltAs, type StageElement } from "~/core/stages";
import { placeOf } from "../../words/quantity";
import type { Reader } from "../../words/reader";
import type { HandWay } from "./hand-ways";

/** Away from tight, and towards it, in the words of the part: a strand is slackened where a mesh is parted. */
export function stepWay(element: StageElement, step: "apart" | "together"): string {
  if (feltAs(element) !== "strand") return partingWay(element, step);
  return step === "apart" ? "Slacken it" : "Tighten it";
}

/** Where it is to stand; `called` between commas what the place is. */
export const standBy = (element: StageElement, place: number, called = ""): string =>
  feltAs(element) === "strand"
    ? `Stand it at ${placeOf(element, place)}${called.replace(/,$/, "")}. `
    : `Stand it with ${placeOf(element, place)}${called} in mesh. `;

/** What to do by hand: a way, at which place; how far is `HandMove`'s. */
export function handAdvice(judged: FeltJudged, element: StageElement, here: number | null): string {
  const { verdict, step, tightTooth, nextTooth, skew, by } = judged;
  const at = here ?? tightTooth;
  const stand = at === null ? "" : standBy(element, at, `, ${tightWords(element)},`);
  if (skew) return "The shafts are not parallel, or not in one plane: set them true before anything is set closer.";
  if (verdict === "not-known")
    return nextTooth === null
      ? by === "pins"
        ? "Its limits are not known. A lead can enter them on the stage."
        : "Feel it again."
      : `${by === "paper" ? "Try" : "Feel"} ${placeOf(element, nextTooth)} next: the tight spot may lie there.`;
  if (step !== "none") {
    if (feltAs(element) === "shaft")
      return "Ease the screw or part that was last tightened, turn it again, and tighten it anew square. Alone and free, it is that part.";
    const way = stepWay(element, step);
    return `${stand}${way} a little there, then feel it all the way round again.`;
  }
  if (verdict === "inside") return "Nothing to move by hand. A measured round would say how near the limits it stands.";
  if (by === "pins") return "Try a size between: at a limit itself it decides.";
  return `${stand}No setting mends it: tight in one place and loose in another. True the part, or set it over by some teeth.`;
}

const feelFirst: Record<FeltAs, string> = {
  click:
    "Push together and turn it by hand. A small even click all the way round is right: less at the tight spot, but still there.",
  worm: "Rock the output: any knock is play. Then turn it by hand all the way round: free, and nowhere nipped.",
  strand:
    "Push and pull the strand by hand, a turn of the drive at a time: firm all the way round is right, neither clapping nor humming.",
  shaft: "Turn it by hand, slowly, all the way round: the same light drag everywhere is right.",
};

/** How it is done, before anything is felt. */
export function howToRead(reader: Reader, way: HandWay, element: StageElement): ReactNode {
  const after = afterEachPart(reader, element);
  const [first, more] = {
    feel: [
      feelFirst[feltAs(element) ?? "click"],
      `How smooth it is is judged against how smooth it was: feel it as found before anything is touched.${after ? ` ${after}` : ""}`,
    ],
    paper: [
      "Set it with paper at the tight spot, then turn round and check: the print even along its length, a little more room everywhere else.",
      "No hand and no paper in a powered mesh. Bunched at one end or askew, the shafts are not parallel.",
    ],
    print: [
      "Print both flanks: one alone cannot tell inclined from crossed.",
      "Contact belongs about the line drawn across the flank. Read the backlash before you go closer, and after every move.",
    ],
    pins: [
      "Try sizes at the limits first: one that goes at the least, one that does not at the most, and it is proven.",
      "A feeler reads the least gap over its width; a pin between tip and root reads a chord.",
    ],
  }[way] as [string, string];
  return (
    <>
      <p className="text-2xl font-semibold leading-snug">{first}</p>
      <p className="text-lg text-mid">{more}</p>
    </>
  );
}
