export { expertWay } from "./expert";
export type { ExpertStep, PracticeWay } from "./expert-way";
export {
  everyShown,
  type InstrumentDimension,
  instrumentDimensions,
  instrumentUnits,
  type Shown,
  shownIn,
} from "./instrument-units";
export { type KnockingCase, knockingCase } from "./knocking-case";
export { type KnockingPart, type TurnedStage, tapAlong, turnLine } from "./knocking-line";
export {
  type Faults,
  type Hold,
  type HuntTest,
  holds,
  huntTests,
  type LessonKey,
  lessonEdition,
  lessonKeys,
  type PracticeCase,
  practiceMinutes,
  type Renewal,
  renewals,
} from "./lessons";
export {
  lowestPartial,
  type PluckedString,
  pluckSound,
  recordedIn,
  type Surroundings,
} from "./plucked-string";
export { practiceCase } from "./practice-case";
export { type PracticeMachine, partOf, practiceMachine } from "./practice-machine";
export { normalDeviate, type Random, seededRandom } from "./random";
export { type PracticeDamage, type PracticeEvent, type PracticeScore, practiceDamages, practiceScore } from "./score";
export { type HiddenStage, type SimulatedStage, simulatedStage } from "./simulated-stage";
export { type UsualInstrument, usualInstruments } from "./usual-instruments";
export {
  type SimulatedKey,
  simulatedInstruments,
  simulatedKeys,
  wedgeReading,
} from "./wedge";
