import type { PlanRun, ProofPlan, RunFigure } from "../proving";
import { type Entry, type EntryOf, isKind } from "./entry";
import { ranWell } from "./ran-well";
import type { Bodies, OutstandingRun } from "./schema";

/** A run of a plan as it stands in a job: the last time it was run, and whether that proves it. */
export type PlannedRun = {
  plan: ProofPlan;
  run: PlanRun;
  last: EntryOf<"proof"> | null;
  state: "proven" | "not-run" | "went-wrong" | "undecided";
};

/** What a run read that can be held against limits. */
export function runFigures(body: Bodies["proof"]): RunFigure[] {
  const figure = (of: RunFigure["of"], value: number | null | undefined): RunFigure[] =>
    value === null || value === undefined ? [] : [{ of, place: "", value }];
  const places = body.temperatures ?? [];
  const hottest = [...new Set(places.map(({ place }) => place))].map(
    (place): RunFigure => ({
      of: "temperature",
      place,
      value: Math.max(...places.filter((read) => read.place === place).map(({ tempC }) => tempC)),
    }),
  );
  return [
    ...figure("current", body.currentA),
    ...figure("peak", body.peakA),
    ...figure("voltage", body.voltageV),
    ...figure("power", body.powerW),
    ...figure("speed-off", body.speedRead?.offPercent),
    ...figure("slowest-speed", body.slowestRpm),
    ...figure("temperature", body.temperatureC),
    ...hottest,
    ...figure("overshoot", body.axis?.overshoot),
    ...figure("minutes", body.ran?.minutes),
  ];
}

/** A good run whose limits, where it had any, it surely kept. */
export const provesRun = (run: EntryOf<"proof">): boolean => ranWell(run) && run.body.judged?.verdict !== "undecided";

/** Of runs newest first, or in order, the newest one that proved a run of a plan. */
export function lastGoodRun(proofs: readonly Entry[], runId: string): EntryOf<"proof"> | null {
  const good = proofs.filter(isKind("proof")).filter((run) => run.body.planned?.runId === runId && provesRun(run));
  return good.reduce<EntryOf<"proof"> | null>(
    (newest, run) => (newest && newest.madeAt >= run.madeAt ? newest : run),
    null,
  );
}

/** Every run of the plans that go for a stage, with the last time it was run in this job. */
export function plannedRuns(plans: readonly ProofPlan[], proofs: readonly EntryOf<"proof">[]): PlannedRun[] {
  return plans.flatMap((plan) =>
    plan.runs.map((run): PlannedRun => {
      const last = proofs.findLast(({ body }) => body.planned?.runId === run.id) ?? null;
      if (!last) return { plan, run, last, state: "not-run" };
      return { plan, run, last, state: !ranWell(last) ? "went-wrong" : provesRun(last) ? "proven" : "undecided" };
    }),
  );
}

/** Runs that are asked for and that nothing proved. */
export const outstandingRuns = (runs: readonly PlannedRun[]): (PlannedRun & { state: OutstandingRun["why"] })[] =>
  runs.filter(
    (planned): planned is PlannedRun & { state: OutstandingRun["why"] } =>
      planned.run.required && planned.state !== "proven",
  );

/** As a signature keeps them; nothing where no plan says what proves it. */
export function outstandingOf({ planned }: { planned: readonly PlannedRun[] }): { outstanding?: OutstandingRun[] } {
  if (planned.length === 0) return {};
  return {
    outstanding: outstandingRuns(planned).map(({ run: { name, move, direction, speed, gear, load }, state }) => ({
      run: { name, move, direction, speed, gear, load },
      why: state,
    })),
  };
}
