export { type AxialForce, axialForces, type RingGoesOn, type RingHelix, ringsGoOn } from "./helical";
export { type NearestSet, nearestSets } from "./nearest";
export {
  type Member,
  type PlanetaryGeometry,
  type PlanetaryReason,
  type PlanetarySet,
  planetarySet,
  relativeSpeeds,
} from "./planetary";
