export {
  commonPressureAnglesDeg,
  moduleOfDiametralPitch,
  standardDiametralPitches,
  standardModulesMm,
} from "./standard-pitches";
