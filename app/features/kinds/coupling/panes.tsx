import { StageDrawing } from "../../drawing/stage-drawing";
import { type KindPanes, noPanes } from "../kind-panes";
import { InLine } from "./in-line";

export const coupling: KindPanes<"coupling"> = {
  ...noPanes,
  part: ({ element }) => (
    <StageDrawing
      element={element}
      fit={{ widthPx: 420, heightPx: 200 }}
      label="Both halves with their shafts, to scale"
    />
  ),
  beside: InLine,
};
