export {
  type AlignLimits,
  type Alignment,
  type AlignQuestion,
  alignLimitsAt,
  alignShafts,
  type DialRound,
} from "./align";
export { type CouplingEnd, type CouplingFault, type CouplingFit, type CouplingQuestion, fitCoupling } from "./fit-up";
