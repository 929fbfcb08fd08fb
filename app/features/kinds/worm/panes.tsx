import { StageDrawing } from "../../drawing/stage-drawing";
import { type KindPanes, noPanes } from "../kind-panes";

export const worm: KindPanes<"worm"> = {
  ...noPanes,
  part: ({ element }) => (
    <StageDrawing element={element} fit={{ widthPx: 420, heightPx: 190 }} label="The worm at its wheel, to scale" />
  ),
};
