import { accept, refuse } from "../../../quantity";
import { recommendEndFloat, recommendRunout } from "../../rule";
import type { KindGiven } from "../kind-given";

export const everyPlaceNamed = (names: readonly string[], places: number): boolean =>
  names.length === places && new Set(names).size === places;

export const gapGiven: KindGiven<"gap"> = {
  check: ({ places, names }) =>
    !names || everyPlaceNamed(names, places) ? accept([]) : refuse("places-not-named", ["names"], {}),
  recommend: ({ what }, asked) => {
    switch (what) {
      case "pinion-clearance":
        return { lo: 1.6, hi: 3.2, rule: "starter-pinion", facts: {} };
      case "running-clearance":
        return null;
      case "end-float":
        return recommendEndFloat(asked);
    }
  },
  recommendSide: (_, quantity, asked) =>
    quantity === "end-float" ? recommendEndFloat(asked) : quantity === "runout" ? recommendRunout : null,
  mirrored: (element) => element,
};
