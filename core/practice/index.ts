export { normalDeviate, type Random, seededRandom } from "./random";
export { type HiddenStage, type SimulatedStage, simulatedStage } from "./simulated-stage";
export { type UsualInstrument, usualInstruments } from "./usual-instruments";
export {
  type SimulatedKey,
  simulatedInstruments,
  simulatedKeys,
  wedgeReading,
} from "./wedge";
