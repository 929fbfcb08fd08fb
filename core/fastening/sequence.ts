/** How far the screws of a pattern have come, from loosest on. */
export type PatternState = "started" | "snug" | "firm" | "dressed";
export type Pattern = { key: string; state: PatternState | null };

const steps: readonly (PatternState | null)[] = [null, "started", "snug", "firm", "dressed"];
const rank = (state: PatternState | null): number => steps.indexOf(state);

/**
 * Which of several patterns is next, in the order of the guide: every screw is started before any is tightened, all are drawn lightly before
 * any is drawn firm, and compound comes last (common practice).
 *
 * @param patterns in the order in which they went on, each with the state that it is to reach
 * @returns the first of those that lag most, and what it is brought to; null where all have come as far as they are to
 */
export function fastenNext<P extends Pattern>(
  patterns: readonly (P & { upTo: PatternState })[],
): { pattern: P; to: PatternState } | null {
  const open = patterns.filter(({ state, upTo }) => rank(state) < rank(upTo));
  const least = Math.min(...open.map(({ state }) => rank(state)));
  const pattern = open.find(({ state }) => rank(state) === least);
  return pattern ? { pattern, to: steps[least + 1] as PatternState } : null;
}
