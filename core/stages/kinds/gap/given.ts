import { accept } from "../../../quantity";
import { recommendEndFloat, recommendRunout } from "../../rule";
import type { KindGiven } from "../kind-given";

export const gapGiven: KindGiven<"gap"> = {
  check: () => accept([]),
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
