export { basePitchMm, comparePitches, type PitchMatch, type Rack } from "./base-pitch";
export { type Identified, identifyGear, type MeasuredGear, type PitchCandidate, type PitchName } from "./identify";
export { inverseInvolute, involute } from "./involute";
export { type Point, toothOutlines } from "./outline";
export { type GearPair, gearBlanks, gearPair, type PairGeometry, spurPair } from "./pair";
export { gearSpan, type SpanMeasure } from "./span";
export { type ThermalMesh, thermalMesh } from "./thermal-mesh";
export { type GearBlank, toothCircles } from "./tooth-circles";
export { type GearParts, type Unwise, unwiseIn } from "./unwise";
