export { type BevelGeometry, type BevelPair, bevelPair } from "./bevel-pair";
export { type AskedByPrint, type BothMembers, bothMembers } from "./both-members";
export { type UnwiseBevel, unwiseBevel } from "./unwise";
