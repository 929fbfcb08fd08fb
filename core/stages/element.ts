import type { AxisElement } from "./kinds/axis/schema";
import type { BevelElement } from "./kinds/bevel/schema";
import type { ChainElement } from "./kinds/chain/schema";
import type { CouplingElement } from "./kinds/coupling/schema";
import type { GapElement } from "./kinds/gap/schema";
import type { GearElement } from "./kinds/gear-pair/schema";
import type { PlanetaryElement } from "./kinds/planetary/schema";
import type { ToothedBeltElement } from "./kinds/toothed-belt/schema";
import type { VBeltElement } from "./kinds/v-belt/schema";
import type { WormElement } from "./kinds/worm/schema";

/** Every kind of stage, with the shape of its geometry. A kind is entered here, in `kinds/index.ts` and in `schema.ts`. */
export type Elements = {
  "gear-pair": GearElement;
  worm: WormElement;
  bevel: BevelElement;
  planetary: PlanetaryElement;
  "toothed-belt": ToothedBeltElement;
  "v-belt": VBeltElement;
  chain: ChainElement;
  coupling: CouplingElement;
  gap: GapElement;
  axis: AxisElement;
};
export type StageKind = keyof Elements;
export type StageElement = Elements[StageKind];

export type { Actuator, GearPosition, HardStop, Slide, SwitchGear } from "./kinds/gear-pair/schema";
export type { Idler, Moved } from "./runs/schema";
export type {
  AxisElement,
  BevelElement,
  ChainElement,
  CouplingElement,
  GapElement,
  GearElement,
  PlanetaryElement,
  ToothedBeltElement,
  VBeltElement,
  WormElement,
};
export type BeltElement = ToothedBeltElement | VBeltElement;
