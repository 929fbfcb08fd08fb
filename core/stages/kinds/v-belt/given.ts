import { type AskedFor, type Recommended, rounded } from "../../rule";
import { checkBelt, littleWrap, recommendBesideBelt, wrapOf } from "../../runs/belt-given";
import { mirroredIdlers } from "../../runs/mirrored";
import { stagePath } from "../../runs/path";
import type { KindGiven } from "../kind-given";
import type { VBeltElement } from "./schema";

export const vBeltGiven: KindGiven<"v-belt"> = {
  check: (element) => checkBelt(element, element.lengthMm, "lengthMm", littleWrap),
  recommend,
  recommendSide: (element, quantity, asked) =>
    recommendBesideBelt(element, quantity, asked, { deg: 0.5, rule: "angle-v" }),
  mirrored: (element) => ({ ...element, idlers: mirroredIdlers(element.idlers) }),
};

/** T₀ = 500·(2.5/K_θ − 1)·P/(z·v) + m·v² for each belt; new belts up to 1.5 times that. */
function recommend(element: VBeltElement, { powerKw, speedMPerS }: AskedFor): Recommended | null {
  if (!powerKw || !speedMPerS || element.massKgPerM === null) return null;
  const path = stagePath(element);
  if (!path.ok) return null;
  const wrap = wrapOf(element, path.value);
  const factor = wrapFactor(wrap);
  const centrifugal = element.massKgPerM * speedMPerS ** 2;
  const lo = (500 * (2.5 / factor - 1) * powerKw) / (element.belts * speedMPerS) + centrifugal;
  const facts = { wrap, factor, powerKw, speedMPerS, belts: element.belts };
  return { lo: rounded(lo, 1), hi: rounded(1.5 * lo, 1), rule: "v-belt-pull", facts };
}

/** K_θ between its recalled values: 1 at 180°, 0.93 at 150°, 0.82 at 120°. */
function wrapFactor(wrapDeg: number): number {
  if (wrapDeg >= 180) return 1;
  if (wrapDeg >= 150) return 0.93 + (0.07 * (wrapDeg - 150)) / 30;
  return Math.max(0.5, 0.82 + (0.11 * (wrapDeg - 120)) / 30);
}
