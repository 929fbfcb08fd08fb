export { mirroredShaft } from "./mirror-shaft";
export { rulesFor, type ShaftPartRule, shaftPartRules } from "./part-rules";
export { planShaft, type ShaftPlan } from "./plan-shaft";
export { type FittedPart, type KnownShaft, type PlaneWanted, planeOnPart, planesWanted } from "./plane-wanted";
export type { PlaneTarget, Shaft, ShaftFields, ShaftPart } from "./schema";
export { shaftQuestion } from "./shaft-question";
export { type ReadWidth, readWidth, type ShaftRead, type ShaftStands, standOnShaft } from "./stand-on-shaft";
export * from "./vocabulary";
