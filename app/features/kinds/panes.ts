import type { Elements, StageKind } from "~/core/stages";
import { type Later, later, useLater } from "~/ui/use-later";
import type { KindPanes } from "./kind-panes";

/** null: it shows nothing beyond what all kinds do. */
const panes: { readonly [K in StageKind]: Later<KindPanes<K>> | null } = {
  "gear-pair": later(async () => (await import("./gear-pair/panes")).gearPair),
  worm: later(async () => (await import("./worm/panes")).worm),
  bevel: later(async () => (await import("./bevel/panes")).bevel),
  planetary: later(async () => (await import("./planetary/panes")).planetary),
  "toothed-belt": later(async () => (await import("./toothed-belt/panes")).toothedBelt),
  "v-belt": later(async () => (await import("./v-belt/panes")).vBelt),
  chain: later(async () => (await import("./chain/panes")).chain),
  coupling: later(async () => (await import("./coupling/panes")).coupling),
  gap: null,
  axis: later(async () => (await import("./axis/panes")).axis),
};

const nothing: Later<null> = { kept: null, load: async () => null };

/** What its kind shows of an element on the job; it comes with the first job on such a stage. */
export function usePanes<K extends StageKind>(element: Elements[K] & { kind: K }): KindPanes<K> | null {
  const part = panes[element.kind];
  return useLater<KindPanes<K> | null>(part ?? nothing, part !== null);
}
