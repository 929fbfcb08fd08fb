import { type Guide, type GuidePart, guideOrder, type StripOrder } from "~/core/guides";
import type { Apart } from "~/core/logbook";
import { useJobScreen } from "../entries/job-context";
import { useTyped } from "../entries/use-draft";

/** Said in place of a guide where none is followed. */
export const noGuide = "none";

/** The guide that is followed: the one chosen, else that of the stage, else the only one of the whole machine; null: none. */
export function useGuide(): Guide | null {
  const { data, entered } = useJobScreen();
  const chosen = useTyped(({ texts }) => texts["apart.guide"] ?? "");
  const guides = data.guides ?? [];
  if (chosen === noGuide) return null;
  return (
    guides.find(({ guideId }) => guideId === chosen) ??
    guides.find(({ stageId }) => stageId === entered.id) ??
    onlyOne(guides.filter(({ stageId }) => stageId === null)) ??
    null
  );
}

const onlyOne = (guides: readonly Guide[]): Guide | undefined => (guides.length === 1 ? guides[0] : undefined);

export const followed = (guide: Guide | null) =>
  guide && { revisionId: guide.id, name: guide.name, revision: guide.revision };

export const partIn = (guide: Guide | null, key: string): GuidePart | null =>
  guide?.parts.find(({ id }) => id === key) ?? null;

/** What a guide asks next: to take off, as far as a part that is to be reached; or to put on, of what is not on yet. */
export function nextIn(guide: Guide, apart: Apart, reach: string): { off: GuidePart[]; order: StripOrder | null } {
  const found = guideOrder(guide.parts, reach || undefined);
  const order = found.ok ? found.value : null;
  const wanted = order?.reach ? [...order.reach.toReach, reach] : (order?.strip ?? []);
  const isOff = (id: string) => apart.off.some(({ key }) => key === id);
  return { off: wanted.filter((id) => !isOff(id)).flatMap((id) => partIn(guide, id) ?? []), order };
}

/** Parts of a first build that are still to go on, in their order. */
export function toBuild(guide: Guide, apart: Apart): GuidePart[] {
  const found = guideOrder(guide.parts);
  const on = (id: string) => apart.parts.some(({ key, on }) => key === id && on !== null);
  return found.ok ? found.value.assembly.filter((id) => !on(id)).flatMap((id) => partIn(guide, id) ?? []) : [];
}
