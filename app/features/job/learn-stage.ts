import { type LearntResponse, learnFromMoves, type PastMove } from "~/core/advice";
import { judgedBy, measuredUnit, sensitivityOf, toJudged, waysToMeasure } from "~/core/stages";
import { differenceUncertainty } from "~/core/statistics";
import type { Instrument } from "~/data/queries/instruments";
import type { Stage } from "~/data/queries/stages";

/**
 * The response of a stage's adjuster from its moves so far; readings taken as good as the coarsest instrument that can measure it
 * here. Of sag the change of its square is learnt (`learnFromMoves`). null where nothing can be adjusted.
 */
export function learnStage(
  stage: Stage,
  moves: readonly PastMove[],
  instruments: readonly Instrument[],
): LearntResponse | null {
  const { element } = stage.geometry;
  const { lo, aim, hi } = stage.limits;
  const middle = aim ?? (lo + hi) / 2;
  // The slope of a sag's square is the same everywhere: that of the sag itself at half a millimetre.
  const sensitivity = sensitivityOf(element, 0.5, middle);
  const { adjuster } = stage.adjuster;
  if (!adjuster || sensitivity === null) return null;
  return learnFromMoves(adjuster, sensitivity, moves, readingSd(stage, instruments, middle), judgedBy(element));
}

/** Standard deviation of one reading near the aim, in the judged unit, by the usual way to measure. */
function readingSd({ geometry: { element } }: Stage, instruments: readonly Instrument[], near: number): number {
  const quantity = waysToMeasure(element)[0];
  if (!quantity) return 1e-6;
  const way = toJudged(element, { quantity, indicatorRadiusMm: null, indicatorAngleDeg: 0, held: null });
  if (!way.ok) return 1e-6;
  const measured = inverseOf(way.value.convert, near);
  const fitting = instruments.filter((i) => i.dimension === measuredUnit[quantity].dimension);
  const sds = fitting.map((i) => differenceUncertainty(i.resolution, i.expandedUncertainty, i.coverage) / 2);
  return Math.max(1e-6, ...sds.map((sd) => sd * Math.abs(way.value.factor(measured))));
}

/** The measured value that gives a judged one, by doubling and halving: every way rises. */
function inverseOf(convert: (measured: number) => number, wanted: number): number {
  let high = 1;
  while (!(convert(high) >= wanted) && high < 1e9) high *= 2;
  let low = 0;
  for (let i = 0; i < 60; i++) {
    const middle = (low + high) / 2;
    if (convert(middle) >= wanted) high = middle;
    else low = middle;
  }
  return high;
}
