export {
  type ChainCondition,
  type ChainLook,
  chainCondition,
  elongationPercent,
  wearLimitOf,
} from "./chain-condition";
export { type ChainDrive, chainDrive } from "./chain-drive";
export {
  type DriveWay,
  excessOf,
  type HandSlack,
  handSlack,
  handSlackTarget,
  movementOf,
  type PressedRoller,
  type StrandShape,
} from "./hand-slack";
export {
  type OpenRun,
  type OpenRunQuestion,
  openRun,
  type RunRange,
  type RunSide,
  type RunWheel,
  type Tackle,
  type TackleForces,
} from "./open-run";
export { sprocketOutlines } from "./outline";
export { type ChainGeometry, centreOfLinks, inclination, leastCentre, linksAt } from "./pitch-lines";
