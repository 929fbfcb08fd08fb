export { drawnOf, partOutline, stageShapes } from "./drawn";
export { driveGraph, type KeptDriveLine, type RunsBeside, type StageInLine, withoutGone } from "./drive-graph";
export {
  type DriveLineShapes,
  driveLineShapes,
  mirroredAngle,
  type PlacedStage,
  usualAngle,
} from "./drive-line-shapes";
export type {
  Actuator,
  AxisElement,
  BeltElement,
  BevelElement,
  ChainElement,
  CouplingElement,
  Elements,
  GapElement,
  GearElement,
  GearPosition,
  HardStop,
  Idler,
  Moved,
  PlanetaryElement,
  Slide,
  StageElement,
  StageKind,
  SwitchGear,
  ToothedBeltElement,
  VBeltElement,
  WormElement,
} from "./element";
export {
  type Feel,
  type FeelGrade,
  type FeltAs,
  feelGrades,
  feels,
  feelsOf,
  feelTable,
  feltKinds,
  gradeOfFeel,
} from "./felt";
export { type Frame, leastPlaces, marks, onBelt, type PlaceWord, placeAngle, placeCount, placeWords } from "./frame";
export { fromJudged } from "./from-judged";
export { checkElement, givenOf, mirroredElement, recommendKind, recommendSide } from "./given";
export { stageKinds } from "./kinds";
export { isSteep } from "./kinds/chain/steep";
export {
  asGearPair,
  gearNamed,
  gearNames,
  gearsOf,
  gearsWithStops,
  hardStopOf,
  limitsInGear,
  positionOf,
  slideOf,
  switchGears,
  withGearIn,
} from "./kinds/gear-pair/gears";
export { normalPerCircumferential } from "./kinds/gear-pair/mesh";
export type { RockedWheel } from "./kinds/kind";
export { planetCircleMm } from "./kinds/planetary";
export { wormFriction } from "./kinds/worm";
export { drivingShaft, type LinePeriod, linePeriods, linePeriodsAt } from "./line-periods";
export { type MeasuringWay, relativeSpread, type ToJudged, usualPitches } from "./measured";
export { meterShows } from "./meter-shows";
export {
  efficiencyOf,
  feltAs,
  frameOf,
  hasLostMotion,
  judgedBy,
  lawOf,
  limitWays,
  lostMotionArcmin,
  printable,
  ratiosOf,
  recurrencesOf,
  rockedWheel,
  sensitivityOf,
  sidesOf,
  slackByHand,
  spanOf,
  tangentialForceN,
  teethOf,
  thrustsOf,
  toJudged,
  waysToMeasure,
  wearLimit,
} from "./of-kind";
export type { PrintableMesh } from "./printable";
export {
  aimOf,
  isTighter,
  type JudgedQuantity,
  judgedQuantities,
  judgedUnit,
  type MeasuredQuantity,
  measuredQuantities,
  measuredUnit,
  middleOf,
  onlyUpper,
  perFigure,
  type QuantityUnit,
  type SideQuantity,
  setApart,
  sideQuantities,
  sideUnit,
  slackEndOf,
} from "./quantities";
export type { StageRatio } from "./ratio";
export { type Recurrence, type RecurringPart, recurringParts } from "./recurrence";
export type { AskedFor, Recommended, RuleCode } from "./rule";
export { beltStiffness } from "./runs/belt";
export { pathPull, readSpan, runDiameters, type StagePath, stagePath } from "./runs/path";
export { type PullAtPlace, pullAtPlace } from "./runs/pull-at-place";
export { type ShaftPulls, shaftPulls } from "./runs/shaft-pull";
export { pathLine } from "./runs/shapes";
export { type Touching, touchingY } from "./runs/touching";
export { handSquare, strandRead } from "./sensitivity";
export { type StageTurns, stageTurns } from "./stage-turns";
export type { Thrust } from "./thrust";
export type { Unwise } from "./unwise";
