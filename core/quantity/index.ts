export {
  type DecimalSign,
  decimalsFor,
  formatInchFraction,
  formatNumber,
  formatQuantity,
  nearestFraction,
  roundTo,
} from "./format";
export { lastDigit } from "./last-digit";
export { type Parsed, parseNumber, parseQuantity } from "./parse";
export {
  accept,
  type FactsArgument,
  mustHold,
  type PlainCode,
  type Refusal,
  type RefusalOf,
  type Result,
  refuse,
} from "./refusal";
export { asRefusalCode, type RefusalCode, refusalCodes } from "./refusal-code";
export { severalQuantities } from "./several";
export {
  type Dimension,
  fromCanonical,
  standardGravity,
  toCanonical,
  type Unit,
  type UnitId,
  unitById,
  units,
} from "./units";
