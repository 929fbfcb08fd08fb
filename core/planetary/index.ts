export { type NearestSet, nearestSets } from "./nearest";
export {
  type Member,
  type PlanetaryGeometry,
  type PlanetaryReason,
  type PlanetarySet,
  planetarySet,
  relativeSpeeds,
} from "./planetary";
