import type { Elements, StageKind } from "../element";
import { axis } from "./axis";
import { bevel } from "./bevel";
import { chain } from "./chain";
import { coupling } from "./coupling";
import { gap } from "./gap";
import { gearPair } from "./gear-pair";
import type { Kind } from "./kind";
import { planetary } from "./planetary";
import { toothedBelt } from "./toothed-belt";
import { vBelt } from "./v-belt";
import { worm } from "./worm";

const kinds: { readonly [K in StageKind]: Kind<K> } = {
  "gear-pair": gearPair,
  worm,
  bevel,
  planetary,
  "toothed-belt": toothedBelt,
  "v-belt": vBelt,
  chain,
  coupling,
  gap,
  axis,
};

export const stageKinds = Object.keys(kinds) as StageKind[];

export const kindOf = <K extends StageKind>(element: Elements[K] & { kind: K }): Kind<K> => kinds[element.kind];
