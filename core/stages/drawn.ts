import type { PartOutline, StageShapes } from "../drawing";
import type { Elements, StageElement, StageKind } from "./element";
import { axisDrawn } from "./kinds/axis/drawn";
import { bevelDrawn } from "./kinds/bevel/drawn";
import { chainDrawn } from "./kinds/chain/drawn";
import { couplingDrawn } from "./kinds/coupling/drawn";
import { gapDrawn } from "./kinds/gap/drawn";
import { gearPairDrawn } from "./kinds/gear-pair/drawn";
import type { KindDrawn } from "./kinds/kind-drawn";
import { planetaryDrawn } from "./kinds/planetary/drawn";
import { toothedBeltDrawn } from "./kinds/toothed-belt/drawn";
import { vBeltDrawn } from "./kinds/v-belt/drawn";
import { wormDrawn } from "./kinds/worm/drawn";

const drawn: { readonly [K in StageKind]: KindDrawn<K> } = {
  axis: axisDrawn,
  bevel: bevelDrawn,
  chain: chainDrawn,
  coupling: couplingDrawn,
  gap: gapDrawn,
  "gear-pair": gearPairDrawn,
  planetary: planetaryDrawn,
  "toothed-belt": toothedBeltDrawn,
  "v-belt": vBeltDrawn,
  worm: wormDrawn,
};

export const drawnOf = <K extends StageKind>(element: Elements[K] & { kind: K }): KindDrawn<K> => drawn[element.kind];

/** The drawing of a stage, to scale; null where it has no geometry. */
export const stageShapes = (element: StageElement): StageShapes | null => drawnOf(element).shapes(element);

/** The part inside which a round is drawn: the gear, wheel, pulley or chain itself, with as many places as it is read at. */
export const partOutline = (element: StageElement): PartOutline => drawnOf(element).outline(element);
