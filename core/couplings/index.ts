export {
  type AlignLimits,
  type Alignment,
  type AlignQuestion,
  alignLimitsAt,
  alignShafts,
  type DialRound,
  type FootMove,
} from "./align";
export { type CouplingFault, type CouplingFit, type CouplingQuestion, fitCoupling } from "./fit-up";
export type { CouplingEnd } from "./schema";
