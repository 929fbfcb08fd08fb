export { type UnwiseWorm, unwiseWorm } from "./unwise";
export { type WormGeometry, type WormPair, type WormPlay, wormEfficiency, wormPair } from "./worm-pair";
