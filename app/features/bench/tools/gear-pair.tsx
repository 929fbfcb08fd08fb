import { formatNumber } from "~/app/features/words/figure";
import { useWords } from "~/app/features/words/use-words";
import { gearPair as kind } from "~/core/stages/kinds/gear-pair";
import { gearPairDrawn as drawn } from "~/core/stages/kinds/gear-pair/drawn";
import { gearPairGiven as given } from "~/core/stages/kinds/gear-pair/given";
import { gearFigures } from "../../kinds/gear-pair/figures";
import { gearPair as words } from "../../kinds/gear-pair/words";
import { KindFigures } from "../../stage-form/kind-figures";
import { BenchPage } from "../bench-page";
import { benchTool } from "../bench-tool";
import { firstAnswer } from "../first-answer.server";
import { PairFields, pairOf } from "../pair-fields";

export const tool = benchTool("gear-pair", async () => (await import("~/calc/tools/gear-pair")).gearPairTool, {
  example: { z1: "18", z2: "54", pitch: "1.5", centres: "54.15" },
  Fields: PairFields,
  read: (texts) => {
    const read = pairOf(texts);
    return read.value ? { input: read.value, problems: null } : { input: null, problems: read.problems };
  },
  say: (reader, { backlash }) =>
    backlash.circumferentialMm < 0
      ? `The teeth overlap by ${formatNumber(reader, -backlash.circumferentialMm, 3)} mm: it jams`
      : `${formatNumber(reader, backlash.circumferentialMm, 3)} mm of backlash at the pitch circle`,
  View: ({ texts, output }) => {
    const reader = useWords();
    const { value } = pairOf(texts);
    return (
      <div className="grid gap-3">
        {value && (
          <KindFigures
            of={{ kind, given, drawn, words, form: { figures: gearFigures } }}
            element={{ kind: "gear-pair", parts: {}, pair: { ...value, centreDistanceMm: output.centreDistanceMm } }}
          />
        )}
        <p className="text-mid">
          Tip clearance {formatNumber(reader, output.tipClearanceMm[0], 3)} and{" "}
          {formatNumber(reader, output.tipClearanceMm[1], 3)} mm; normal backlash{" "}
          {formatNumber(reader, output.backlash.normalMm, 3)}, radial{" "}
          {formatNumber(reader, output.backlash.radialMm, 3)} mm; play of the gear{" "}
          {formatNumber(reader, output.backlash.angularArcmin[1], 1)}′ with the pinion held.
        </p>
      </div>
    );
  },
});

export const loader = firstAnswer(tool);
// The answer is computed here while one types.
export const shouldRevalidate = () => false;

export default function ToolPage() {
  return <BenchPage bench={tool} />;
}
