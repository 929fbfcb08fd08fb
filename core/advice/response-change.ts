import { studentQuantile } from "../statistics";
import type { MoveEvidence } from "./learn";

/**
 * That a unit of an adjuster does not do what it did. `step`: from one move to the next, as when a screw came loose; `drift`: little by
 * little, as a thread wears. Both in the response's unit.
 */
export type ResponseChange = {
  kind: "step" | "drift";
  before: number;
  now: number;
  /** Of a step, how many moves were made since; of a drift all that tell it. */
  moves: number;
};

/** Fewer tell nothing; on either side of a step two. */
const leastMoves = 5;
const leastBeside = 2;
/** A smaller change is not worth a word (common practice). */
const leastShare = 0.15;
/** Of stages whose response stays, so many are called changed. */
const falseAlarms = 0.01;

type Observed = { per: number; weight: number };

/**
 * Whether the moves of one adjuster say that its response changed: the weighted straight line over the moves in their order against the best
 * single step, each against its own scatter (never less than the readings' own). Moves that are off by more than three deviations count
 * here, since after a step all of them are. Of several possible steps the threshold is shared out (Bonferroni).
 *
 * @param evidence of `learnFromMoves`, oldest first
 * @returns null where nothing surely changed
 */
export function responseChange(evidence: readonly MoveEvidence[]): ResponseChange | null {
  const seen = evidence.flatMap(({ per, perSd, why }): Observed[] =>
    (why === "used" || why === "surprising") && per !== null && perSd > 0 ? [{ per, weight: 1 / perSd ** 2 }] : [],
  );
  if (seen.length < leastMoves) return null;
  const step = bestStep(seen);
  const drift = line(seen);
  const better = step.residual <= drift.residual ? step : drift;
  const [sure, other] = [better, better === step ? drift : step].map((one) => isSure(one, seen.length));
  // What is told apart from nothing by neither way, or is too small to matter, is no change.
  if (!sure && !other) return null;
  const told = sure ? better : better === step ? drift : step;
  if (Math.abs(told.now - told.before) < leastShare * Math.abs(told.before)) return null;
  return { kind: told.kind, before: told.before, now: told.now, moves: told.moves };
}

type Told = ResponseChange & { residual: number; t: number; tried: number };

const isSure = ({ t, tried }: Told, n: number): boolean => t > studentQuantile(1 - falseAlarms / (2 * tried), n - 2);

function meanOf(seen: readonly Observed[]): { mean: number; weight: number; residual: number } {
  const weight = seen.reduce((sum, one) => sum + one.weight, 0);
  const mean = seen.reduce((sum, one) => sum + one.weight * one.per, 0) / weight;
  return { mean, weight, residual: seen.reduce((sum, one) => sum + one.weight * (one.per - mean) ** 2, 0) };
}

/** Scatter beyond what the readings explain counts, less does not. */
const inflation = (residual: number, n: number): number => Math.max(1, residual / (n - 2));

function bestStep(seen: readonly Observed[]): Told {
  const n = seen.length;
  const splits = Array.from({ length: n - 2 * leastBeside + 1 }, (_, i) => i + leastBeside);
  const tried = splits.map((at): Told => {
    const [a, b] = [meanOf(seen.slice(0, at)), meanOf(seen.slice(at))];
    const residual = a.residual + b.residual;
    const sd = Math.sqrt(inflation(residual, n) * (1 / a.weight + 1 / b.weight));
    const t = Math.abs(b.mean - a.mean) / sd;
    return { kind: "step", before: a.mean, now: b.mean, moves: n - at, residual, t, tried: splits.length };
  });
  return tried.reduce((best, one) => (one.residual < best.residual ? one : best));
}

function line(seen: readonly Observed[]): Told {
  const n = seen.length;
  const weight = seen.reduce((sum, one) => sum + one.weight, 0);
  const middle = seen.reduce((sum, one, i) => sum + one.weight * i, 0) / weight;
  const { mean } = meanOf(seen);
  const spread = seen.reduce((sum, one, i) => sum + one.weight * (i - middle) ** 2, 0);
  const slope = seen.reduce((sum, one, i) => sum + one.weight * (i - middle) * (one.per - mean), 0) / spread;
  const at = (i: number) => mean + slope * (i - middle);
  const residual = seen.reduce((sum, one, i) => sum + one.weight * (one.per - at(i)) ** 2, 0);
  const t = Math.abs(slope) / Math.sqrt(inflation(residual, n) / spread);
  return { kind: "drift", before: at(0), now: at(n - 1), moves: n, residual, t, tried: 1 };
}
