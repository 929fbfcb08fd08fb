import { type KindPanes, plainPanes } from "../kind-panes";
import { InLine } from "./in-line";

export const coupling: KindPanes<"coupling"> = { ...plainPanes, onTop: true, bothSides: false, beside: InLine };
