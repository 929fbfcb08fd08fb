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
  lowestPartial,
  type PluckedString,
  pluckSound,
  recordedIn,
  type Surroundings,
} from "./plucked-string";
export { normalDeviate, type Random, seededRandom } from "./random";
export { type HiddenStage, type SimulatedStage, simulatedStage } from "./simulated-stage";
export { type UsualInstrument, usualInstruments } from "./usual-instruments";
export {
  type SimulatedKey,
  simulatedInstruments,
  simulatedKeys,
  wedgeReading,
} from "./wedge";
