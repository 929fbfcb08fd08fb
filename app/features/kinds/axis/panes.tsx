import { type KindPanes, noPanes } from "../kind-panes";
import { AxisPart } from "./axis-part";
import { Switches } from "./switches";

export const axis: KindPanes<"axis"> = { ...noPanes, part: AxisPart, beside: Switches };
