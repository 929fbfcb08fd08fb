import { formatNumber } from "~/app/features/words/figure";
import { bevelPairTool } from "~/calc/tools/bevel-pair";
import { bevel as form } from "../../kinds/bevel/form";
import { readKind } from "../../kinds/kind-form";
import { ElementFigures } from "../../stage-form/element-figures";
import { BenchPage } from "../bench-page";
import { benchTool } from "../bench-tool";

export const tool = benchTool(bevelPairTool, {
  example: { z1: "20", z2: "30", pitch: "2.5", face: "14" },
  Fields: form.Fields,
  read: (texts) => {
    const read = readKind(form, texts);
    return read.value ? { input: read.value.bevel, problems: null } : { input: null, problems: read.problems };
  },
  say: (reader, { backlashPerAxialMm: [pinion, gear] }) =>
    `A tenth of shim: ${formatNumber(reader, gear / 10, 3)} mm of backlash behind the gear, ${formatNumber(reader, pinion / 10, 3)} behind the pinion`,
  View: ({ texts }) => <ElementFigures read={readKind(form, texts)} />,
});

export default function ToolPage() {
  return <BenchPage bench={tool} />;
}
