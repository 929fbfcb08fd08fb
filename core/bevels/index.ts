export { type BevelGeometry, type BevelPair, bevelPair } from "./bevel-pair";
export { type UnwiseBevel, unwiseBevel } from "./unwise";
