export { guideOrder, screwsOf } from "./guide-order";
export { type Kit, type KitSpacer, type KitStock, kitOf } from "./kit";
export { mirroredParts, mirroredText } from "./mirror-guide";
export type { Guide, GuidePart, PartSpacer, ScrewSet } from "./schema";
export { type OrderedPart, type StripOrder, stripOrder, type ToReach } from "./strip-order";
export { type Binding, type BuildStep, binding, type NextTest, type Suspect } from "./suspect";
export * from "./vocabulary";
