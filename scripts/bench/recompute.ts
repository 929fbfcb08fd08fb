import { assessRound, roundedMove } from "../../core/advice";
import { seededRandom, simulatedStage } from "../../core/practice";
import { mustHold } from "../../core/quantity";
import { fittedAt, placesToRead, typedRound } from "../../core/rounds";
import { frameOf, partOutline, type StageKind, stageKinds, waysToMeasure } from "../../core/stages";
import type { DemoStage } from "../../demo/types";
import { machines } from "../../demo/works";
import { curvePath, dialScale, outlinePath } from "../../ui/round-dial/layout";
import { frameMs, timed } from "./timed";

/** What a keystroke costs between two frames, on a stage of every kind: a round, its advice and its drawing data. */
export function recompute(): void {
  const stages = machines.flatMap((machine) => machine.stages);
  for (const kind of stageKinds) {
    const stage = stages.find(({ geometry }) => geometry.element.kind === kind);
    if (!stage) throw new Error(`the demo has no ${kind}`);
    const { median, slow, readings } = cost(stage, kind);
    console.log(
      `${kind}: round of ${readings} + advice + drawing data ${median.toFixed(2)} ms, ${((100 * median) / frameMs).toFixed(0)} % of a frame (95 of 100 below ${slow.toFixed(2)} ms)`,
    );
  }
}

function cost(stage: DemoStage, kind: StageKind): { median: number; slow: number; readings: number } {
  const { element } = stage.geometry;
  const frame = frameOf(element);
  const quantity = waysToMeasure(element)[0] ?? "circumferential-backlash";
  const simulated = simulatedStage({ ...stage.hidden, element }, quantity, 0.01, 0.003, seededRandom(1));
  // Of a gear pair as many readings as anybody takes; of the others their usual round.
  const places =
    kind === "gear-pair"
      ? Array.from({ length: 48 }, (_, i) => ({
          tooth: ((i * 7) % frame.places) + 1,
          turn: 1 + Math.floor((i * 7) / frame.places),
        }))
      : placesToRead(frame, null).map((tooth) => ({ tooth, turn: 1 }));
  const readings = places.map((at) => ({
    ...at,
    typed: simulated.measure(at.tooth, at.turn).toFixed(2),
    struck: false,
  }));
  const { outline } = partOutline(element);
  const narrow = 0.2 * (stage.limits.hi - stage.limits.lo);
  const limits = { lo: stage.limits.lo, hi: stage.limits.hi - narrow };
  const { adjuster, step } = stage.adjuster;
  const once = () => {
    const values = mustHold(
      typedRound(
        element,
        { resolution: 0.01, expandedUncertainty: 0.006, coverage: 2 },
        { quantity, indicatorRadiusMm: null, indicatorAngleDeg: 0 },
        readings,
      ),
    );
    const assessed = mustHold(
      assessRound({
        element,
        limits,
        adjuster,
        readings: values.readings.map((reading, i) => ({
          ...reading,
          tooth: readings[i]?.tooth ?? 1,
          angleDeg: reading.gearAngleDeg,
        })),
        expandedUncertainty: values.expandedUncertainty,
        how: "as-found",
        known: null,
      }),
    );
    const { judged } = assessed;
    const read = values.readings.map((reading) => reading.value);
    const now = { min: judged.least, max: judged.greatest };
    const move = adjuster && roundedMove(assessed.advice, adjuster, step, judged, limits);
    const scale = dialScale(limits, read, { inner: 92, outer: 230 });
    const { fit } = judged;
    const ratio = frame.teeth ? frame.teeth[1] / frame.teeth[0] : 1;
    const fitted = (angle: number) => (fit ? fittedAt(fit.harmonics, angle, ratio) : now.min);
    const shift = move ? move.min - now.min : 0;
    return [
      curvePath(scale, fitted),
      curvePath(scale, (angle) => fitted(angle) + shift),
      outlinePath(outline, 3),
      ...values.readings.map((reading) => scale.place(reading.gearAngleDeg, reading.value)),
    ].length;
  };
  return { ...timed(once), readings: readings.length };
}
