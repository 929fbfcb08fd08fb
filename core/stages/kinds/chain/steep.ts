import type { ChainElement } from "./schema";

/** Whether its span runs so steeply that no rule for sag holds: the weight then lies along the span (common practice: above 60°). */
export const isSteep = (chain: Pick<ChainElement, "inclinationDeg">): boolean => Math.abs(chain.inclinationDeg) > 60;
