import type { Result } from "../quantity";
import type { Elements, StageElement, StageKind } from "./element";
import { axisGiven } from "./kinds/axis/given";
import { bevelGiven } from "./kinds/bevel/given";
import { chainGiven } from "./kinds/chain/given";
import { couplingGiven } from "./kinds/coupling/given";
import { gapGiven } from "./kinds/gap/given";
import { gearPairGiven } from "./kinds/gear-pair/given";
import type { KindGiven } from "./kinds/kind-given";
import { planetaryGiven } from "./kinds/planetary/given";
import { toothedBeltGiven } from "./kinds/toothed-belt/given";
import { vBeltGiven } from "./kinds/v-belt/given";
import { wormGiven } from "./kinds/worm/given";
import type { SideQuantity } from "./quantities";
import type { AskedFor, Recommended } from "./rule";
import type { Unwise } from "./unwise";

const given: { readonly [K in StageKind]: KindGiven<K> } = {
  axis: axisGiven,
  bevel: bevelGiven,
  chain: chainGiven,
  coupling: couplingGiven,
  gap: gapGiven,
  "gear-pair": gearPairGiven,
  planetary: planetaryGiven,
  "toothed-belt": toothedBeltGiven,
  "v-belt": vBeltGiven,
  worm: wormGiven,
};

export const givenOf = <K extends StageKind>(element: Elements[K] & { kind: K }): KindGiven<K> => given[element.kind];

/**
 * Whether an element has a geometry, and what is unwise about one that has.
 *
 * @returns what is unwise; or a refusal whose facts name the nearest that works: of the pair; `gear-has-no-mesh` at gears.i;
 *   `planets-do-not-assemble` or `planets-touch` at planets (facts.nearest); `belt-too-short` at beltTeeth or lengthMm (facts.least);
 *   `chain-too-short` at links; `pulleys-overlap`, `no-path` at idlers
 */
export const checkElement = (element: StageElement): Result<Unwise[]> => givenOf(element).check(element);

/**
 * Limits of what a stage is judged by, where no maker says (handbook of the trade; each rule names its source in the interface). Gear
 * pairs have a standard of their own (`recommendBacklash`).
 *
 * @returns null where no rule is known, or where what it needs was not said
 */
export const recommendKind = (element: StageElement, asked: AskedFor): Recommended | null =>
  givenOf(element).recommend(element, asked);

/** Limits of something read beside it; null where no rule is known for this kind. */
export const recommendSide = (element: StageElement, quantity: SideQuantity, asked: AskedFor): Recommended | null =>
  givenOf(element).recommendSide(element, quantity, asked);

/** The element of a mirror-built machine: helix, spiral and worm change hands; idlers swap strands. */
export const mirroredElement = (element: StageElement): StageElement => givenOf(element).mirrored(element);
