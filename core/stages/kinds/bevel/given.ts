import { unwiseBevel } from "../../../bevels";
import { accept } from "../../../quantity";
import { roundedUp } from "../../rule";
import { recommendBesideMesh } from "../../toothed/mesh-given";
import type { KindGiven } from "../kind-given";

export const bevelGiven: KindGiven<"bevel"> = {
  check: (element) => accept(unwiseBevel(element.bevel)),
  recommend: ({ bevel: { moduleMm: m } }) => {
    const lo = Math.max(0.05, 0.03 * m);
    // The rule's band is narrower than a bevel of its runout can hold: twice the least where that is more.
    const hi = Math.max(0.05 * m, 2 * lo);
    const facts = { m, twice: hi > 0.05 * m ? 1 : 0 };
    return { lo: roundedUp(lo, 0.01), hi: roundedUp(hi, 0.01), rule: "bevel", facts };
  },
  recommendSide: (_, quantity, asked) => recommendBesideMesh(quantity, asked),
  mirrored: (element) => {
    const { spiralAngleDeg } = element.bevel;
    return { ...element, bevel: { ...element.bevel, spiralAngleDeg: spiralAngleDeg === 0 ? 0 : -spiralAngleDeg } };
  },
};
