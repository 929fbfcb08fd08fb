import { formatNumber } from "~/app/features/words/figure";
import { bevel as kind } from "~/core/stages/kinds/bevel";
import { bevelDrawn as drawn } from "~/core/stages/kinds/bevel/drawn";
import { bevelGiven as given } from "~/core/stages/kinds/bevel/given";
import { bevel as form } from "../../kinds/bevel/form";
import { bevel as words } from "../../kinds/bevel/words";
import { readKind } from "../../kinds/kind-form";
import { KindFigures } from "../../stage-form/kind-figures";
import { BenchPage } from "../bench-page";
import { benchTool } from "../bench-tool";
import { firstAnswer } from "../first-answer.server";

export const tool = benchTool("bevel-pair", async () => (await import("~/calc/tools/bevel-pair")).bevelPairTool, {
  example: { z1: "20", z2: "30", pitch: "2.5", face: "14" },
  Fields: form.Fields,
  read: (texts) => {
    const read = readKind(form, texts);
    return read.value ? { input: read.value.bevel, problems: null } : { input: null, problems: read.problems };
  },
  say: (reader, { backlashPerAxialMm: [pinion, gear] }) =>
    `A tenth of shim: ${formatNumber(reader, gear / 10, 3)} mm of backlash behind the gear, ${formatNumber(reader, pinion / 10, 3)} behind the pinion`,
  View: ({ texts }) => {
    const { value } = readKind(form, texts);
    return value && <KindFigures of={{ kind, given, drawn, words, form }} element={value} />;
  },
});

export const loader = firstAnswer(tool);
// The answer is computed here while one types.
export const shouldRevalidate = () => false;

export default function ToolPage() {
  return <BenchPage bench={tool} />;
}
