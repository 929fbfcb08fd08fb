import { formatNumber } from "~/app/features/words/figure";
import { lengthUnit, lengthWords } from "~/app/features/words/spoken";
import { isSteep, spanOf } from "~/core/stages";
import { type KindWords, tightSpotOf } from "../kind-words";
import { shortFigure as f } from "../plain-words";
import { chainPull } from "../runs/pull-words";
import { pullOf } from "../runs/words";

export const chain: KindWords<"chain"> = {
  name: "roller chain",
  caution: "Chain: secure the load and both ends before a joint is opened; protect your eyes.",
  size: (_, { teeth }) => teeth.join(" : "),
  line: (reader, { pitchMm, links }, head) => `${head}, pitch ${f(reader, pitchMm)} mm, ${links} links`,
  drawn: (places) => `Chain of ${places} links`,
  tightSpot: (element) => (isSteep(element) ? tightSpotOf.mesh : tightSpotOf.chain),
  beforeReading: (element) =>
    isSteep(element)
      ? "A steep run has no rule for its sag: it is judged by its wear. Measure over counted pitches under a light pull. Secure the load and both ends before a joint is opened."
      : "Pull one strand tight. Either read how far the other hangs from the straight line, or move it up and down in its middle and read the whole way; say which. Go round the whole chain and look for its tightest place.",
  stand: (where) => (
    <>
      Bring {where}, {tightSpotOf.chain}, to the middle of the slack span.{" "}
    </>
  ),
  parting: (_, way) => (way === "apart" ? "Part them" : "Bring them together"),
  notRound: () => "the chain is worn unevenly",
  nothingToAdjust:
    "Wear cannot be adjusted away: a worn chain is replaced, with its sprockets if they are hooked. Its slack can be taken up, felt by hand.",
  sensitivity: (reader, element, sensitivity, strand) => {
    const pull = formatNumber(reader, pullOf(element).pull, 2);
    const length = lengthUnit(reader);
    const hangs = strand === "arc";
    const slope = hangs ? `−3·L·${pull}/(16·s)` : `−L·${pull}/(4·y)`;
    return `${slope}, L ${lengthWords(reader, spanOf(element) ?? 0, 0)}: ${formatNumber(reader, sensitivity, 2)} ${length} of ${hangs ? "sag" : "half the movement"} for each ${length}, now; the slack goes as its square (Machinery's Handbook${hangs ? "" : "; by hand a triangle, 2y²/L"})`;
  },
  waves: () => null,
  madeOf: () => "",
  side: () => "",
  afterEachPart: () => null,
  pulls: chainPull,
  lookOver: [
    "Joint closed, the clip's closed end runs ahead",
    "No half link, temporary link or cord, or it is on the list of what is left in",
    "Sprocket teeth not hooked, both in one plane",
    "It runs parallel to the frame, has room all along and rubs nothing",
  ],
  lookAgain: "A new chain stretches most in its first hours: look again after them (common practice).",
  runInDays: 7,
  thrust: null,
  ways: ["moves it the way that takes up slack", "moves it the way that lets out slack"],
};
