import { nearestSets, planetarySet } from "../../../planetary";
import { accept, type Result, refuse } from "../../../quantity";
import { recommendEndFloat, recommendRunout } from "../../rule";
import type { Unwise } from "../../unwise";
import type { KindGiven } from "../kind-given";
import type { PlanetaryElement } from "./schema";

export const planetaryGiven: KindGiven<"planetary"> = {
  check: checkSet,
  recommend: () => null,
  recommendSide: (_, quantity, asked) =>
    quantity === "end-float" ? recommendEndFloat(asked) : quantity === "runout" ? recommendRunout : null,
  mirrored: (element) =>
    element.helix
      ? {
          ...element,
          helix: {
            ring1Deg: -element.helix.ring1Deg,
            ...(element.helix.ring2Deg === undefined ? {} : { ring2Deg: -element.helix.ring2Deg }),
          },
        }
      : element,
};

function checkSet({ set: given }: PlanetaryElement): Result<Unwise[]> {
  const set = planetarySet(given);
  if (!set.ok) return set;
  const nearest = nearestSets(given).map(setWords).join("; ");
  if (!set.value.assembles) return refuse("planets-do-not-assemble", ["planets"], { nearest });
  if (!set.value.planetsClear) return refuse("planets-touch", ["planets"], { nearest });
  return accept(set.value.reasons);
}

const setWords = (set: { planets: number; sun: number; planet: number[]; ring: number[] }): string =>
  `${set.planets} planets with ${set.sun}, ${set.planet.join("/")}, ${set.ring.join("/")} teeth`;
