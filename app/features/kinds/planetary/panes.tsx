import { StageDrawing } from "../../drawing/stage-drawing";
import { type KindPanes, noPanes } from "../kind-panes";

export const planetary: KindPanes<"planetary"> = {
  ...noPanes,
  part: ({ element }) => (
    <StageDrawing element={element} fit={{ widthPx: 420, heightPx: 200 }} label="Sun, planets and ring, to scale" />
  ),
};
