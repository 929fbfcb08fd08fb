import { type PlanetaryGeometry, planetarySet } from "./planetary";

/** A set that goes together, and how it differs: another number of planets, or other teeth. */
export type NearestSet = { planets: number; sun: number; planet: number[]; ring: number[] };

/**
 * Sets near to one that cannot be put together: the nearest other numbers of planets with the same teeth, then the nearest teeth
 * with the same number (simple sets: sun and planet a few teeth off, the ring with them). Never empty for a simple set with 200
 * teeth or fewer.
 *
 * @param most how many to name
 */
export function nearestSets(set: PlanetaryGeometry, most = 3): NearestSet[] {
  const goes = (candidate: PlanetaryGeometry): boolean => {
    const judged = planetarySet(candidate);
    return judged.ok && judged.value.assembles && judged.value.planetsClear;
  };
  const named = (candidate: PlanetaryGeometry): NearestSet => ({
    planets: candidate.planets,
    sun: candidate.sun,
    planet: [...candidate.planet],
    ring: [...candidate.ring],
  });
  const counts = [1, -1, 2, -2, 3, -3]
    .map((step) => ({ ...set, planets: set.planets + step }))
    .filter((candidate) => candidate.planets >= 2 && goes(candidate))
    .slice(0, 1);
  const teeth: PlanetaryGeometry[] = [];
  if (set.kind === "simple") {
    const steps = [0, 1, -1, 2, -2, 3, -3, 4, -4, 5, -5, 6, -6];
    const pairs = steps.flatMap((s) => steps.map((p) => [s, p] as const));
    pairs.sort((x, y) => Math.abs(x[0]) + Math.abs(x[1]) - Math.abs(y[0]) - Math.abs(y[1]));
    for (const [s, p] of pairs) {
      const sun = set.sun + s;
      const planet = set.planet[0] + p;
      if (sun < 3 || planet < 3) continue;
      const candidate: PlanetaryGeometry = { ...set, sun, planet: [planet], ring: [sun + 2 * planet] };
      if (goes(candidate)) teeth.push(candidate);
      if (teeth.length === most) break;
    }
  }
  return [...counts, ...teeth].slice(0, most).map(named);
}
