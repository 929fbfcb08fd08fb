export { adjusterNow, nearDeadPoint } from "./adjuster-now";
export {
  type Adjuster,
  amountFor,
  canMove,
  centreChange,
  gainOf,
  type MoveUnit,
  type Travel,
  unitOf,
} from "./adjusters";
export {
  type Advice,
  type AdviceQuestion,
  type AdviceReading,
  advise,
  type Move,
  type Quantity,
  type ReasonCode,
  reasonCodes,
} from "./advise";
export { type Assessment, assessRound, type RoundToAssess } from "./assess-round";
export { type Carried, carryAcross } from "./carry-across";
export {
  type DrawerStage,
  drawerQuestion,
  exchange,
  handled,
  type Piece,
  type Pieces,
  type StackOutcome,
  shimUncertaintyMm,
  stackOutcome,
  stacksToShow,
  totalOf,
} from "./drawer";
export { type FeelStep, type FeelStepQuestion, type FeltMove, feelStep } from "./feel-step";
export { type FeelerStack, feelerFromSet } from "./feeler";
export { type LearntResponse, learnFromMoves, type MoveEvidence, type PastMove } from "./learn";
export { priorResponse, priorWidth, stiffnessGuessed } from "./prior";
export { learnResponse, type ObservedMove, type Response } from "./response";
export { type ResponseChange, responseChange } from "./response-change";
export { type RollerSetting, rollerSettings } from "./roller-settings";
export { type RoundedMove, roundedMove, type Setting } from "./rounded-move";
export { type SlackMove, slackMove } from "./slack-move";
export { type MoveStep, moveSteps, type StepKind, wholeSteps } from "./steps";
export {
  type ChosenSpacer,
  type StopEnd,
  type StopEndAnswer,
  type StopSpacer,
  type StopSpacerQuestion,
  stopSpacer,
} from "./stop-spacer";
export { mmAtSwitch, type SwitchMove, switchesRead, switchMoves } from "./switch-moves";
export { guessedSpread, type TensionFirst, type TensionFirstQuestion, tensionFirst } from "./tension-first";
