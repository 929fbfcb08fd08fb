import { assessRound, roundedMove } from "../../core/advice";
import { gearBlanks, toothOutlines } from "../../core/gears";
import { seededRandom, simulatedMesh } from "../../core/practice";
import { mustHold } from "../../core/quantity";
import { backlashAt, typedRound } from "../../core/rounds";
import { pairOf } from "../../demo/scenario";
import { machines } from "../../demo/works";
import { curvePath, dialScale, outlinePath } from "../../ui/round-dial/layout";

const frameMs = 1000 / 60;

/** Median of many runs: what a keystroke costs between two frames. */
export function recompute(): void {
  const stage = machines[0]?.stages[0];
  if (!stage) throw new Error("the demo has no stage");
  const pair = pairOf(stage);
  const mesh = simulatedMesh({ ...stage.hidden, pair }, 0.01, 0.003, seededRandom(1));
  const readings = Array.from({ length: 48 }, (_, i) => ({
    tooth: ((i * 7) % pair.teeth[1]) + 1,
    turn: 1 + Math.floor((i * 7) / pair.teeth[1]),
    typed: mesh.read((i * 7 * 360) / pair.teeth[1]).toFixed(2),
    struck: false,
  }));
  const outline = toothOutlines(gearBlanks(pair)[1]);
  const limits = { lo: stage.limits.loMm, hi: stage.limits.hiMm - 0.03 };
  const once = () => {
    const values = mustHold(
      typedRound(
        pair,
        { resolutionMm: 0.01, expandedUncertaintyMm: 0.006, coverage: 2 },
        { indicatorRadiusMm: null, indicatorAngleDeg: 0 },
        readings,
      ),
    );
    const assessed = mustHold(
      assessRound({ pair, limits, adjuster: stage.adjuster.adjuster }, values.readings, values.expandedUncertaintyMm),
    );
    const mm = values.readings.map((reading) => reading.backlashMm);
    const now = { min: Math.min(...mm), max: Math.max(...mm) };
    const move = roundedMove(assessed.advice, stage.adjuster.adjuster, stage.adjuster.step, now.min, now.max);
    const scale = dialScale(limits, mm, { inner: 92, outer: 230 });
    const { harmonics } = assessed;
    if (!harmonics) throw new Error("48 readings did not give a fit");
    const fitted = (angle: number) => backlashAt(harmonics, angle, pair.teeth[1] / pair.teeth[0]);
    const shift = move ? move.minMm - now.min : 0;
    return [
      curvePath(scale, fitted),
      curvePath(scale, (angle) => fitted(angle) + shift),
      outlinePath(outline, 3),
      ...values.readings.map((reading) => scale.place(reading.gearAngleDeg, reading.backlashMm)),
    ].length;
  };
  for (let i = 0; i < 50; i++) once();
  const times = Array.from({ length: 200 }, () => {
    const before = performance.now();
    once();
    return performance.now() - before;
  }).sort((a, b) => a - b);
  const median = times[100] ?? 0;
  const slow = times[190] ?? 0;
  console.log(
    `round + advice + drawing data, 48 readings: ${median.toFixed(2)} ms, ${((100 * median) / frameMs).toFixed(0)} % of a frame (95 of 100 below ${slow.toFixed(2)} ms)`,
  );
}
