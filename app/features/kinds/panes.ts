import type { Elements, StageKind } from "~/core/stages";
import { bevel } from "./bevel/panes";
import { chain } from "./chain/panes";
import { coupling } from "./coupling/panes";
import { type KindPanes, plainPanes } from "./kind-panes";

const panes: { readonly [K in StageKind]: KindPanes<K> } = {
  "gear-pair": { ...plainPanes, swaps: true },
  worm: { ...plainPanes, onTop: true },
  bevel,
  planetary: { ...plainPanes, onTop: true },
  "toothed-belt": plainPanes,
  "v-belt": plainPanes,
  chain,
  coupling,
  gap: { ...plainPanes, bothSides: false },
};

export const panesOf = <K extends StageKind>(element: Elements[K] & { kind: K }): KindPanes<K> => panes[element.kind];
