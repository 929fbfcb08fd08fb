import type { RunDirection } from "./vocabulary";

/** A run that went well, for what it drew; alike: everything but the direction. */
export type DrawnBy = { id: string; alike: string; direction: RunDirection; currentA: number };

export type Asymmetry = {
  alike: string;
  /** The one that draws more. */
  more: RunDirection;
  forwardsA: number;
  backwardsA: number;
  /** Their difference as a share of their mean. */
  percent: number;
};

/** From here on it is worth a look where nobody gave a limit. Common practice. */
export const usualAsymmetryPercent = 10;

/**
 * Runs that differ by nothing but their direction, and by how much their currents differ: what binds one way only (end float, a helix that
 * pushes, a print on one flank) draws more that way.
 *
 * @param runs in order; of each direction the last one counts
 */
export function asymmetries(runs: readonly DrawnBy[]): Asymmetry[] {
  const kinds = [...new Set(runs.map(({ alike }) => alike))];
  return kinds.flatMap((alike) => {
    const last = (direction: RunDirection) =>
      runs.findLast((run) => run.alike === alike && run.direction === direction)?.currentA;
    const [forwardsA, backwardsA] = [last("forwards"), last("backwards")];
    if (forwardsA === undefined || backwardsA === undefined || forwardsA + backwardsA <= 0) return [];
    const percent = (200 * Math.abs(forwardsA - backwardsA)) / (forwardsA + backwardsA);
    return [
      {
        alike,
        more: forwardsA >= backwardsA ? ("forwards" as const) : ("backwards" as const),
        forwardsA,
        backwardsA,
        percent,
      },
    ];
  });
}
