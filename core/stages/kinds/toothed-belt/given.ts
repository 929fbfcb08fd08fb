import { rounded } from "../../rule";
import { checkBelt, recommendBesideBelt } from "../../runs/belt-given";
import { mirroredIdlers } from "../../runs/mirrored";
import type { KindGiven } from "../kind-given";

/** Toothed belts carry their full load with so many teeth in mesh (common practice). */
const leastTeethInMesh = 6;

export const toothedBeltGiven: KindGiven<"toothed-belt"> = {
  check: (element) =>
    checkBelt(element, element.beltTeeth * element.pitchMm, "beltTeeth", (wrapDeg) => {
      const teeth = Math.floor((Math.min(...element.teeth) * wrapDeg) / 360 + 1e-9);
      return teeth < leastTeethInMesh ? [{ code: "few-teeth-in-mesh", teeth }] : [];
    }),
  // T₀ from half of the effective pull up to all of it, F_u = 2000·M/d.
  recommend: ({ pitchMm, teeth }, { torqueNm }) => {
    if (!torqueNm) return null;
    const d = (pitchMm * teeth[0]) / Math.PI;
    const pull = (2000 * torqueNm) / d;
    return { lo: rounded(pull / 2, 1), hi: rounded(pull, 1), rule: "toothed-belt-pull", facts: { torqueNm, d, pull } };
  },
  recommendSide: (element, quantity, asked) =>
    recommendBesideBelt(element, quantity, asked, { deg: 0.25, rule: "angle-toothed" }),
  mirrored: (element) => ({ ...element, idlers: mirroredIdlers(element.idlers) }),
};
