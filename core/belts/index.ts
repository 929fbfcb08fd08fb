export {
  classSpread,
  type ToothProfile,
  toothedBeltMass,
  toothProfiles,
  type VSection,
  vBeltMass,
  vSections,
} from "./belt-classes";
export {
  type BeltDrive,
  type BeltPulleys,
  type BeltSize,
  beltDrive,
  type NearestBelt,
  pitchDiameters,
} from "./belt-drive";
export {
  type BeltPath,
  beltPath,
  firstOverlap,
  type LaidPath,
  layPath,
  lengthChange,
  type PathPulley,
  pullOf,
  runningSense,
  type SpanLine,
} from "./belt-path";
export {
  type BeltWidth,
  beltWidth,
  meshFactorOf,
  type PlacedWidth,
  type WidthPlace,
  type WidthQuestion,
} from "./belt-width";
export { type AgedTension, type BeltAge, beltAges, firstLossV, tensionByAge } from "./by-age";
export { type EccentricIdler, type IdlerSetting, idlerSet } from "./idler-set";
export { pulleyOutlines } from "./outline";
export { type GridRoller, type GridRow, type RollerGrid, rollerGrid } from "./roller-grid";
export {
  type Strand,
  type StrandQuantity,
  type StrandShare,
  type Strands,
  type StrandsQuestion,
  strandQuantities,
  strands,
} from "./strands";
export {
  type BeltSpan,
  deflectionOfForce,
  type Elongation,
  forceOfDeflection,
  frequencyOfTension,
  tensionOfDeflection,
  tensionOfFrequency,
  tensionPerCentre,
} from "./tension";
export { centreOfLength, type OpenBelt, openBelt } from "./two-pulleys";
export {
  type CordMaterial,
  cordGrowthPerK,
  type FrameMaterial,
  frameGrowthPerK,
  type WarmBelt,
  warmTension,
} from "./warm-tension";
