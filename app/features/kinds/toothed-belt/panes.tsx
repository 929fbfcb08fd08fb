import { type KindPanes, noPanes } from "../kind-panes";
import { BeltBeside } from "../runs/belt-beside";
import { RunPart } from "../runs/run-part";

export const toothedBelt: KindPanes<"toothed-belt"> = {
  ...noPanes,
  part: ({ element }) => <RunPart element={element} asks="pluck or press here" />,
  beside: BeltBeside,
};
