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
  | "align-speed"
  | "switch-window"
  | "coupling-axial"
  | "runout-shows";

/** What only a person can say. */
export type AskedFor = {
  /** At the smaller wheel, for belts. */
  torqueNm?: number | undefined;
  powerKw?: number | undefined;
  speedMPerS?: number | undefined;
  bearing?: "ball" | "taper" | "bush" | undefined;
};

export const rounded = (value: number, step: number): number => Number((Math.round(value / step) * step).toFixed(6));
/** Of a least value: never below its rule. */
export const roundedUp = (value: number, step: number): number => rounded(Math.ceil(value / step - 1e-9) * step, step);

const floats = {
  ball: { lo: 0.1, hi: 0.3, rule: "float-ball" },
  taper: { lo: 0.02, hi: 0.08, rule: "float-taper" },
  bush: { lo: 0.05, hi: 0.15, rule: "float-bush" },
} as const;

/** End float by the bearing that takes it; ball bearings where nobody says. */
export const recommendEndFloat = ({ bearing = "ball" }: AskedFor): Recommended => ({ ...floats[bearing], facts: {} });

export const recommendRunout: Recommended = { lo: 0, hi: 0.13, rule: "runout-shows", facts: {} };

export const angleLimit = (deg: number, rule: "angle-toothed" | "angle-v"): Recommended => ({
  lo: 0,
  hi: deg,
  rule,
  facts: {},
});
