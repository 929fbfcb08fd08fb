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
export { sprocketOutlines } from "./outline";
export { type ChainGeometry, centreOfLinks, inclination, leastCentre, linksAt } from "./pitch-lines";
