import { radians } from "../numerics";
import { isBelt, isSteep, type SideQuantity, type StageElement, spanOf, stagePath } from "../stages";

/** A recommended window with the rule it comes from and the numbers that went into the rule. */
export type Recommended = { lo: number; hi: number; rule: RuleCode; facts: Record<string, number> };
export type RuleCode =
  | "worm"
  | "bevel"
  | "toothed-belt-pull"
  | "v-belt-pull"
  | "chain-sag"
  | "chain-sag-steep"
  | "chain-wear"
  | "float-ball"
  | "float-taper"
  | "float-bush"
  | "starter-pinion"
  | "angle-toothed"
  | "angle-v"
  | "offset-belt"
  | "offset-chain"
  | "runout-shows";

/** What only a person can say. */
export type AskedFor = {
  /** At the smaller wheel, for belts. */
  torqueNm?: number | undefined;
  powerKw?: number | undefined;
  speedMPerS?: number | undefined;
  bearing?: "ball" | "taper" | "bush" | undefined;
};

const rounded = (value: number, step: number): number => Number((Math.round(value / step) * step).toFixed(6));
/** Of a least value: never below its rule. */
const roundedUp = (value: number, step: number): number => rounded(Math.ceil(value / step - 1e-9) * step, step);

/**
 * Limits of what a stage is judged by, where no maker says (handbook of the trade; each rule names its source in the interface). Gear
 * pairs have a standard of their own (`recommendBacklash`).
 *
 * @returns null where no rule is known, or where what it needs was not said
 */
export function recommendKind(element: StageElement, asked: AskedFor): Recommended | null {
  if (isBelt(element)) return element.kind === "toothed-belt" ? toothedPull(element, asked) : vBeltPull(element, asked);
  switch (element.kind) {
    case "worm": {
      const m = element.worm.axialModuleMm;
      return { lo: roundedUp(0.04 * m, 0.01), hi: rounded(0.06 * m + 0.05, 0.01), rule: "worm", facts: { m } };
    }
    case "bevel": {
      const m = element.bevel.moduleMm;
      const lo = Math.max(0.05, 0.03 * m);
      // The rule's band is narrower than a bevel of its runout can hold: twice the least where that is more.
      const hi = Math.max(0.05 * m, 2 * lo);
      return {
        lo: roundedUp(lo, 0.01),
        hi: roundedUp(hi, 0.01),
        rule: "bevel",
        facts: { m, twice: hi > 0.05 * m ? 1 : 0 },
      };
    }
    case "chain": {
      const span = spanOf(element);
      if (isSteep(element)) return wear(Math.max(...element.teeth));
      if (span === null) return null;
      const steep = Math.abs(element.inclinationDeg) > 45;
      const [low, high] = steep ? [1, 2] : [2, 4];
      return {
        lo: rounded((low * span) / 100, 0.5),
        hi: rounded((high * span) / 100, 0.5),
        rule: steep ? "chain-sag-steep" : "chain-sag",
        facts: { span, low, high },
      };
    }
    case "gap":
      return gapLimits(element.what, asked);
    default:
      return null;
  }
}

const wear = (z2: number): Recommended => ({ lo: 0, hi: Math.min(3, 200 / z2), rule: "chain-wear", facts: { z2 } });

/** T₀ from half of the effective pull up to all of it, F_u = 2000·M/d. */
function toothedPull(
  element: Extract<StageElement, { kind: "toothed-belt" }>,
  { torqueNm }: AskedFor,
): Recommended | null {
  if (!torqueNm) return null;
  const d = (element.pitchMm * element.teeth[0]) / Math.PI;
  const pull = (2000 * torqueNm) / d;
  return { lo: rounded(pull / 2, 1), hi: rounded(pull, 1), rule: "toothed-belt-pull", facts: { torqueNm, d, pull } };
}

/** T₀ = 500·(2.5/K_θ − 1)·P/(z·v) + m·v² for each belt; new belts up to 1.5 times that. */
function vBeltPull(
  element: Extract<StageElement, { kind: "v-belt" }>,
  { powerKw, speedMPerS }: AskedFor,
): Recommended | null {
  if (!powerKw || !speedMPerS) return null;
  const path = stagePath(element);
  if (!path.ok) return null;
  const small = element.pitchDiameterMm[0] <= element.pitchDiameterMm[1] ? 0 : path.value.driven;
  const wrap = path.value.laid.wraps[small]?.deg ?? 180;
  const factor = wrapFactor(wrap);
  const centrifugal = element.massKgPerM * speedMPerS ** 2;
  const lo = (500 * (2.5 / factor - 1) * powerKw) / (element.belts * speedMPerS) + centrifugal;
  return {
    lo: rounded(lo, 1),
    hi: rounded(1.5 * lo, 1),
    rule: "v-belt-pull",
    facts: { wrap, factor, powerKw, speedMPerS, belts: element.belts },
  };
}

/** K_θ between its recalled values: 1 at 180°, 0.93 at 150°, 0.82 at 120°. */
function wrapFactor(wrapDeg: number): number {
  if (wrapDeg >= 180) return 1;
  if (wrapDeg >= 150) return 0.93 + (0.07 * (wrapDeg - 150)) / 30;
  return Math.max(0.5, 0.82 + (0.11 * (wrapDeg - 120)) / 30);
}

function gapLimits(
  what: "end-float" | "pinion-clearance" | "running-clearance",
  { bearing }: AskedFor,
): Recommended | null {
  if (what === "pinion-clearance") return { lo: 1.6, hi: 3.2, rule: "starter-pinion", facts: {} };
  if (what === "running-clearance") return null;
  return endFloat(bearing ?? "ball");
}

const floats = {
  ball: { lo: 0.1, hi: 0.3, rule: "float-ball" },
  taper: { lo: 0.02, hi: 0.08, rule: "float-taper" },
  bush: { lo: 0.05, hi: 0.15, rule: "float-bush" },
} as const;
const endFloat = (bearing: "ball" | "taper" | "bush"): Recommended => ({ ...floats[bearing], facts: {} });

/** Limits of something read beside it; null where no rule is known for this kind. */
export function recommendSide(element: StageElement, quantity: SideQuantity, asked: AskedFor): Recommended | null {
  switch (quantity) {
    case "end-float":
      return endFloat(asked.bearing ?? "ball");
    case "elongation":
      return element.kind === "chain" ? wear(Math.max(...element.teeth)) : null;
    case "runout":
      return { lo: 0, hi: 0.13, rule: "runout-shows", facts: {} };
    case "angle":
      return element.kind === "v-belt"
        ? { lo: 0, hi: 0.5, rule: "angle-v", facts: {} }
        : isBelt(element) || element.kind === "chain"
          ? { lo: 0, hi: 0.25, rule: "angle-toothed", facts: {} }
          : null;
    case "offset": {
      if (element.kind === "chain") {
        const centre = element.centreDistanceMm;
        return { lo: 0, hi: rounded(0.002 * centre, 0.1), rule: "offset-chain", facts: { centre } };
      }
      if (!isBelt(element)) return null;
      const angle = element.kind === "v-belt" ? 0.5 : 0.25;
      const centre = element.centreDistanceMm;
      return {
        lo: 0,
        hi: rounded(centre * Math.tan(radians(angle)), 0.1),
        rule: "offset-belt",
        facts: { angle, centre },
      };
    }
  }
}
