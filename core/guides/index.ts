export { type OrderedPart, type StripOrder, stripOrder, type ToReach } from "./strip-order";
