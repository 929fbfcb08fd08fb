export {
  aheadPercent,
  type DriveGraph,
  type DriveLine,
  type DriveLink,
  type DriveOutput,
  type DriveSource,
  driveLine,
  type OutputState,
  type ShaftState,
  type Share,
} from "./drive-line";
export { idlerLayout, type OnHole } from "./grid-layout";
export { type GridPair, type GridQuestion, type HoleGrid, holeGrid } from "./hole-grid";
export {
  type IndexContribution,
  type IndexError,
  type IndexErrorQuestion,
  type IndexWheel,
  indexError,
  lostMotionId,
  stepRounding,
} from "./index-error";
export { type IndexDrive, type IndexPlan, indexPlan, indexPosition } from "./index-plan";
export { type Mechanism, type MechanismSays, mechanismSays, ratioWanted, rpmForSpeed } from "./mechanism";
export { type RatioChoice, type RatioQuestion, ratioForSpeed } from "./ratio-for-speed";
export { correctedStepsPerMm, stepsCommand, stepsFile, stepsPerMm } from "./steps-per-unit";
export { scaleSpeed, surfaceSpeed, type Train, type TrainDrive, type TrainStage, train } from "./train";
export { bandAfter, openingOf, type TriedFelt, type TriedPair } from "./tried-pair";
