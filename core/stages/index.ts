export { checkElement, spanOf, type Unwise } from "./check";
export { driveGraph, type KeptDriveLine, type StageInLine, withoutGone } from "./drive-graph";
export {
  type BeltElement,
  type BevelElement,
  type ChainElement,
  type GapElement,
  type GearElement,
  type Idler,
  isBelt,
  isSteep,
  type Moved,
  type PlanetaryElement,
  type StageElement,
  type StageKind,
  type SwitchGear,
  stageKinds,
  type ToothedBeltElement,
  type VBeltElement,
  type WormElement,
} from "./element";
export {
  type Frame,
  frameOf,
  leastPlaces,
  onBelt,
  type PlaceWord,
  placeAngle,
  placeCount,
} from "./frame";
export { fromJudged } from "./from-judged";
export { gearNamed, teethOf, withGearIn } from "./gear-in";
export {
  type MeasuringWay,
  normalPerCircumferential,
  planetCircleMm,
  relativeSpread,
  rockedWheel,
  type ToJudged,
  toJudged,
  usualPitches,
} from "./measured";
export { pathPull, readSpan, runDiameters, type StagePath, stagePath } from "./path";
export {
  isTighter,
  type JudgedQuantity,
  judgedBy,
  judgedUnit,
  limitWays,
  type MeasuredQuantity,
  measuredQuantities,
  measuredUnit,
  type QuantityUnit,
  type SideQuantity,
  sideQuantities,
  sidesOf,
  sideUnit,
  waysToMeasure,
} from "./quantities";
export { efficiencyOf, gearsOf, lostMotionArcmin, ratiosOf, type StageRatio, wormFriction } from "./ratio";
export { type Recurrence, type RecurringPart, recurrencesOf } from "./recurrence";
export { beltStiffness, handSquare, sensitivityOf, strandRead } from "./sensitivity";
export { type Thrust, tangentialForceN, thrustsOf } from "./thrust";
