import type { StageElement, StageKind } from "~/core/stages";

/** What a kind is, beyond its words, on pages that show stages of any kind. */
export type KindTraits = {
  /** Its axes lie across the sheet or it hides its insides: drawn over its neighbours. */
  onTop: boolean;
  /** Shims on its two sides are set together. */
  bothSides: boolean;
  /** Other gears may be looked for in its place. */
  swaps: boolean;
  /** No one adjuster sets it: how it is set stands beside its readings. */
  setBeside: boolean;
  /** A strand that slackens with use: loosened, pushed and tightened between runs. */
  reTensioned: boolean;
  /** It drives by friction: its ratio is no ratio of teeth, and divides no turn. */
  slips: boolean;
};

const plain: KindTraits = {
  onTop: false,
  bothSides: true,
  swaps: false,
  setBeside: false,
  reTensioned: false,
  slips: false,
};

const traits: { readonly [K in StageKind]: KindTraits } = {
  "gear-pair": { ...plain, swaps: true },
  worm: { ...plain, onTop: true },
  bevel: { ...plain, onTop: true },
  planetary: { ...plain, onTop: true },
  "toothed-belt": { ...plain, reTensioned: true },
  "v-belt": { ...plain, reTensioned: true, slips: true },
  chain: { ...plain, reTensioned: true },
  coupling: { ...plain, onTop: true, bothSides: false, setBeside: true },
  gap: { ...plain, bothSides: false },
  axis: { ...plain, bothSides: false, setBeside: true },
};

export const traitsOf = ({ kind }: StageElement): KindTraits => traits[kind];
