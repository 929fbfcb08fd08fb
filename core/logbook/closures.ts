import { type Closure, closureExplained } from "../proving";
import { robustTrend, type Trend } from "../statistics";
import { isoToDays } from "./days";
import { type Entry, isKind } from "./entry";

export type ClosureRead = {
  at: string;
  by: string;
  closure: Closure;
  toleranceArcmin: number;
};
export type Closures = {
  /** Oldest first. */
  reads: ClosureRead[];
  /** Of the forward miss over days, arcmin; null below three at different times. */
  trend: Trend | null;
  /** Of the last one, against what `index-error` last said of the stage; null: nobody kept that. */
  against: { worstArcmin: number; at: string; find: "explained" | "not-explained" | "undecided" } | null;
};

/** How an index or positioning drive came back to zero over the years. What was kept under another shape of the tool is left out. */
export function closuresOf(entries: readonly Entry[]): Closures {
  const closed = entries.filter(isKind("measured")).filter(({ body }) => body.tool === "closure");
  // Of two drives that are measured on one stage the one measured last: misses of different drives make no trend.
  const reads = closed
    .filter(({ body }) => body.of === closed.at(-1)?.body.of)
    .flatMap(({ body, madeAt, madeByName }): ClosureRead[] => {
      const closure = body.output as Closure | null;
      const toleranceArcmin = (body.input as { toleranceArcmin?: unknown } | null)?.toleranceArcmin;
      return typeof closure?.forward?.meanArcmin === "number" && typeof toleranceArcmin === "number"
        ? [{ at: madeAt, by: madeByName, closure, toleranceArcmin }]
        : [];
    });
  const kept = entries.filter(isKind("computation")).findLast(({ body }) => body.tool === "index-error");
  const worst = (kept?.body.output as { position?: { worstArcmin?: unknown } } | undefined)?.position?.worstArcmin;
  const last = reads.at(-1);
  const days = new Set(reads.map(({ at }) => isoToDays(at)));
  return {
    reads,
    trend:
      days.size < 3
        ? null
        : robustTrend(
            reads.map(({ at, closure }) => ({ t: isoToDays(at), y: closure.forward.meanArcmin })),
            [],
          ),
    against:
      kept && last && typeof worst === "number"
        ? { worstArcmin: worst, at: kept.madeAt, find: closureExplained(last.closure, worst) }
        : null,
  };
}
