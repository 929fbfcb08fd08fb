import { Fold } from "~/ui/fold";
import { type BesideProps, type KindPanes, noPanes } from "../kind-panes";
import { WarmMesh } from "./warm-mesh";

export const gearPair: KindPanes<"gear-pair"> = { ...noPanes, beside: WarmBeside };

/** What the reading becomes where it works, under the next move. */
function WarmBeside({ stage, element, counting, expandedUncertainty, texts, onText }: BesideProps<"gear-pair">) {
  const values = counting.map(({ value }) => value);
  const readMm = values.length === 0 ? null : ([Math.min(...values), Math.max(...values)] as const);
  return (
    <Fold summary="Warm, and wet" className="border-t border-rule pt-2 mt-3">
      <WarmMesh {...{ element, readMm, expandedUncertainty, texts, onText }} limits={stage.limits} />
    </Fold>
  );
}
