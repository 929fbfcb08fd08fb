import { formatNumber } from "~/app/features/words/figure";
import { useWords } from "~/app/features/words/use-words";
import type { PairGeometry } from "~/core/gears";
import { gearPair as kind } from "~/core/stages/kinds/gear-pair";
import { gearPairDrawn as drawn } from "~/core/stages/kinds/gear-pair/drawn";
import { gearPairGiven as given } from "~/core/stages/kinds/gear-pair/given";
import { TextField } from "../../form/text-field";
import type { Read } from "../../form/text-reader";
import type { Texts } from "../../form/texts";
import { TickField } from "../../form/tick-field";
import { gearFigures } from "../../kinds/gear-pair/figures";
import { gearTyped } from "../../kinds/gear-pair/typed";
import { gearPair as words } from "../../kinds/gear-pair/words";
import { readKind } from "../../kinds/kind-form";
import { KindFigures } from "../../stage-form/kind-figures";
import { BenchPage } from "../bench-page";
import { benchTool } from "../bench-tool";
import { firstAnswer } from "../first-answer.server";

/** A pair from its texts; the centre distance may be left out here. */
function pairOf(texts: Texts): Read<PairGeometry> {
  const given = Boolean(texts.centres?.trim());
  const read = readKind(gearTyped, { ...texts, ...(given ? {} : { centres: "1" }) });
  if (!read.value) return read;
  const { centreDistanceMm, ...rest } = read.value.pair;
  return { value: { ...rest, ...(given ? { centreDistanceMm } : {}) }, problems: null };
}

export const tool = benchTool("gear-pair", async () => (await import("~/calc/tools/gear-pair")).gearPairTool, {
  example: { z1: "18", z2: "54", pitch: "1.5", centres: "54.15" },
  Fields: () => (
    <>
      <div className="grid grid-cols-2 sm:grid-cols-3 gap-4">
        <TextField name="z1" label="Teeth of the pinion" inputMode="numeric" />
        <TextField name="z2" label="Teeth of the gear" inputMode="numeric" />
        <TextField name="pitch" label="Module, or DP" hint="1.5, or 16 DP" />
        <TextField name="centres" label="Centre distance" hint="empty: free of backlash unthinned" />
        <TextField name="x1" label="Shift of the pinion" hint="x, usually 0" />
        <TextField name="x2" label="Shift of the gear" hint="x, usually 0" />
        <TextField name="thin1" label="Pinion thinned by" hint="mm at the reference circle" />
        <TextField name="thin2" label="Gear thinned by" hint="mm at the reference circle" />
        <TextField name="alpha" label="Pressure angle" hint="degrees, usually 20" />
        <TextField name="face" label="Face width" hint="mm" />
      </div>
      <TickField name="internal" label="The gear is a ring with its teeth inside" />
    </>
  ),
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
