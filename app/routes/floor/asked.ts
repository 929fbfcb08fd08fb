import { type FloorState, floorStates } from "~/core/records/floor-state";
import { type StageKind, stageKinds } from "~/core/stages";

/** What is asked of the floor, as it stands in the address; null or empty: not asked. */
export type FloorAsked = {
  words: string;
  site: string | null;
  hall: string | null;
  kind: StageKind | null;
  mine: boolean;
  state: FloorState | null;
};
export const nothingAsked: FloorAsked = { words: "", site: null, hall: null, kind: null, mine: false, state: null };

export const floorAsked = (search: URLSearchParams): FloorAsked => ({
  words: (search.get("q") ?? "").trim().slice(0, 80),
  site: search.get("site"),
  hall: search.get("hall"),
  kind: stageKinds.find((kind) => kind === search.get("kind")) ?? null,
  mine: search.get("mine") === "yes",
  state: floorStates.find((state) => state === search.get("state")) ?? null,
});

/** The same in an address; a site or hall without a name is one all the same. Nothing asked is said too, so that it is not taken for what was chosen last. */
export function floorAddress({ words, site, hall, kind, mine, state }: FloorAsked, after?: string): string {
  const search = new URLSearchParams();
  const put = (name: string, value: string | null) => value !== null && search.set(name, value);
  put("q", words || null);
  put("site", site);
  put("hall", hall);
  put("kind", kind);
  put("mine", mine ? "yes" : null);
  put("state", state);
  put("after", after ?? null);
  return `/?${search.size === 0 ? "all" : search}`;
}

/** What is chosen for longer than one look: all but the words and the page. */
export const lasting = (asked: FloorAsked): FloorAsked => ({ ...asked, words: "" });
export const isNothing = (asked: FloorAsked): boolean => floorAddress(asked) === floorAddress(nothingAsked);
