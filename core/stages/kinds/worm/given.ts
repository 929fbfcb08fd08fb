import { accept } from "../../../quantity";
import { unwiseWorm } from "../../../worms";
import { rounded, roundedUp } from "../../rule";
import { recommendBesideMesh } from "../../toothed/mesh-given";
import type { KindGiven } from "../kind-given";

export const wormGiven: KindGiven<"worm"> = {
  check: (element) => accept(unwiseWorm(element.worm)),
  recommend: ({ worm: { axialModuleMm: m } }) => ({
    lo: roundedUp(0.04 * m, 0.01),
    hi: rounded(0.06 * m + 0.05, 0.01),
    rule: "worm",
    facts: { m },
  }),
  recommendSide: (_, quantity, asked) => recommendBesideMesh(quantity, asked),
  mirrored: (element) => ({ ...element, hand: element.hand === "right" ? "left" : "right" }),
};
