import { judge, type Limits, type Verdict, worstVerdict } from "../limits";
import type { PlanLimit, PlanRun, ProofPlan } from "./schema";
import { type RunQuantity, wayOf } from "./vocabulary";

/** A figure of a run; `place` of a temperature, empty of anything else. */
export type RunFigure = { of: RunQuantity; place: string; value: number };

/** A figure held against its limits: `verdict` null where it was not read, or there is no last time to hold it against. */
export type FigureJudged = {
  of: RunQuantity;
  place: string;
  value: number | null;
  lo: number | null;
  hi: number | null;
  /** What the same run read last time, where it is judged around that. */
  last: number | null;
  expandedUncertainty: number;
  verdict: Verdict | null;
  why?: "not-read" | "no-last-time" | "at-supply-limit" | undefined;
};

/** `verdict` null: nothing of it could be judged. */
export type RunJudged = { verdict: Verdict | null; each: FigureJudged[] };

/** Figures that a supply at its limit hides the rest of. */
const hidden: ReadonlySet<RunQuantity> = new Set(["current", "peak", "power"]);

/**
 * A run of a plan against the limits that go for it, with the guard bands of what it was read with. A limit whose figure was not read leaves the
 * run undecided: it was to be looked at. What was read at a supply's limit may be more than it shows, so nothing of it conforms.
 *
 * @param figures of the run; temperatures with their places
 * @param last figures of the last time that this run went well; null: there was none
 * @param atSupplyLimit the supply gave all it can
 */
export function judgeRun(
  plan: Pick<ProofPlan, "limits" | "meters">,
  run: Pick<PlanRun, "id" | "move">,
  figures: readonly RunFigure[],
  last: readonly RunFigure[] | null,
  atSupplyLimit: boolean,
): RunJudged {
  const each = plan.limits
    .filter((limit) => (limit.run === null ? wayOf(run.move) === "powered" : limit.run === run.id))
    .map((limit): FigureJudged => {
      const u = plan.meters.find((meter) => meter.of === limit.of)?.expandedUncertainty ?? 0;
      const value = figureFor(limit, figures);
      const before = limit.aroundLast && last ? figureFor(limit, last) : null;
      const window = windowOf(limit, before);
      const figure = {
        of: limit.of,
        place: limit.place,
        value,
        lo: window?.lo ?? null,
        hi: window?.hi ?? null,
        last: before,
        expandedUncertainty: limit.aroundLast ? u * Math.SQRT2 : u,
      };
      if (value === null) return { ...figure, verdict: null, why: "not-read" };
      if (!window) return { ...figure, verdict: null, why: "no-last-time" };
      const { verdict } = judge(value, window, figure.expandedUncertainty);
      return atSupplyLimit && hidden.has(limit.of) && verdict === "conforms"
        ? { ...figure, verdict: "undecided", why: "at-supply-limit" }
        : { ...figure, verdict };
    });
  const told = each.flatMap(({ verdict, why }) => (verdict ?? (why === "not-read" ? "undecided" : [])) || []);
  return { verdict: told.length > 0 ? worstVerdict(told) : null, each };
}

/** Of several places the hottest; null: not read. */
function figureFor({ of, place }: PlanLimit, figures: readonly RunFigure[]): number | null {
  const read = figures.filter((figure) => figure.of === of && (place === "" || alike(figure.place, place)));
  return read.length > 0 ? Math.max(...read.map(({ value }) => value)) : null;
}

const alike = (a: string, b: string): boolean => a.trim().toLowerCase() === b.trim().toLowerCase();

/** Both its own limits and what it may be off last time count; null: it has only the latter, and no last time. */
function windowOf({ lo, hi, aroundLast }: PlanLimit, last: number | null): Limits | null {
  const own = { ...(lo === null ? {} : { lo }), ...(hi === null ? {} : { hi }) };
  if (!aroundLast) return own;
  if (last === null) return lo === null && hi === null ? null : own;
  const by = aroundLast.unit === "percent" ? (Math.abs(last) * aroundLast.by) / 100 : aroundLast.by;
  return {
    lo: Math.max(lo ?? Number.NEGATIVE_INFINITY, last - by),
    hi: Math.min(hi ?? Number.POSITIVE_INFINITY, last + by),
  };
}

/** Whether a reading lies so near a supply's limit that more would not show. Within 1 % or the meter's own: common practice. */
export const isAtSupplyLimit = (
  { supplyLimitA, meters }: Pick<ProofPlan, "supplyLimitA" | "meters">,
  currentsA: readonly (number | null)[],
): boolean => {
  if (supplyLimitA === null) return false;
  const u = meters.find(({ of }) => of === "current")?.expandedUncertainty ?? 0;
  return currentsA.some((current) => current !== null && current >= supplyLimitA - Math.max(u, supplyLimitA / 100));
};
