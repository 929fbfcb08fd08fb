export { normalDeviate, type Random, seededRandom } from "./random";
export { type HiddenMesh, type SimulatedMesh, simulatedMesh } from "./simulated-mesh";
