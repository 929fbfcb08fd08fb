export { type GrowingMaterial, growingMaterials, growthOf } from "./growth";
export {
  deviationsUm,
  type HoleClass,
  holeClasses,
  largestNominalMm,
  type ShaftClass,
  shaftClasses,
} from "./iso-286";
export {
  commonPressureAnglesDeg,
  moduleOfDiametralPitch,
  standardDiametralPitches,
  standardModulesMm,
} from "./standard-pitches";
