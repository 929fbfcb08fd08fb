import type { Stage } from "~/data/queries/stages";

/** What of a stage a list shows: no more of it travels. */
export type StageGlance = {
  id: string;
  name: string;
  limits: Pick<Stage["limits"], "lo" | "hi">;
  geometry: Pick<Stage["geometry"], "element">;
};

export const glanceOf = ({ id, name, limits, geometry }: Stage): StageGlance => ({
  id,
  name,
  limits: { lo: limits.lo, hi: limits.hi },
  geometry: { element: geometry.element },
});
