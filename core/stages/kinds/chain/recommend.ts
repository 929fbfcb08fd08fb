import type { SideQuantity } from "../../quantities";
import { type AskedFor, angleLimit, type Recommended, recommendEndFloat, recommendRunout, rounded } from "../../rule";
import { spanMm } from "../../runs/span";
import type { ChainElement } from "./schema";

/** Sag as a part of the span, less where it runs up; of a steep chain its wear. */
export function recommendSag(element: ChainElement, steep: boolean): Recommended | null {
  if (steep) return wear(element.teeth);
  const span = spanMm(element);
  if (span === null) return null;
  const rising = Math.abs(element.inclinationDeg) > 45;
  const [low, high] = rising ? [1, 2] : [2, 4];
  return {
    lo: rounded((low * span) / 100, 0.5),
    hi: rounded((high * span) / 100, 0.5),
    rule: rising ? "chain-sag-steep" : "chain-sag",
    facts: { span, low, high },
  };
}

function wear(teeth: readonly [number, number]): Recommended {
  const z2 = Math.max(...teeth);
  return { lo: 0, hi: Math.min(3, 200 / z2), rule: "chain-wear", facts: { z2 } };
}

export function recommendBesideChain(
  { teeth, centreDistanceMm: centre }: ChainElement,
  quantity: SideQuantity,
  asked: AskedFor,
): Recommended | null {
  switch (quantity) {
    case "end-float":
      return recommendEndFloat(asked);
    case "hub-gap":
    case "run-clearance":
      return null;
    case "elongation":
      return wear(teeth);
    case "runout":
      return recommendRunout;
    case "angle":
      return angleLimit(0.25, "angle-toothed");
    case "offset":
      return { lo: 0, hi: rounded(0.002 * centre, 0.1), rule: "offset-chain", facts: { centre } };
  }
}
