export { type MeasuredRing, rackAsExternal, ringAsExternal } from "./as-external";
export { basePitchMm, comparePitches, type PitchMatch, type Rack } from "./base-pitch";
export { type Identified, identifyGear, type MeasuredGear, type PitchCandidate, type PitchName } from "./identify";
export { inverseInvolute, involute } from "./involute";
export { type Point, toothOutlines } from "./outline";
export { type GearPair, gearBlanks, gearPair, type PairGeometry, spurPair } from "./pair";
export { type PaperStrip, paperStrip, type StripMeans, stripFor } from "./paper-strip";
export { saidToothToTooth } from "./said-pitch";
export { gearSpan, type SpanMeasure } from "./span";
export {
  gearsToMake,
  type SwapAnswer,
  type SwapBy,
  type SwapGear,
  type SwapOption,
  type SwapQuestion,
  swapOptions,
} from "./swap";
export {
  type OfferedGear,
  presentDriven,
  presentDriver,
  type RejectedGear,
  type RejectedPair,
  type SwapPair,
  type SwapPairs,
  type SwapPairsQuestion,
  swapPairs,
} from "./swap-pairs";
export { type ThermalMesh, thermalMesh } from "./thermal-mesh";
export { type GearBlank, toothCircles } from "./tooth-circles";
export { type GearParts, type Unwise, unwiseContact, unwiseIn } from "./unwise";
export { usableContactRatio } from "./usable-contact";
export { type MemberGrowth, type WarmMesh, warmMesh } from "./warm-mesh";
