import { type KindPanes, noPanes } from "../kind-panes";
import { InLine } from "./in-line";

export const coupling: KindPanes<"coupling"> = { ...noPanes, beside: InLine };
