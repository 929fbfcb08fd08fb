import { accept, parseQuantity, type Result, refuse } from "../quantity";
import {
  frameOf,
  type MeasuredQuantity,
  type MeasuringWay,
  measuredUnit,
  perFigure,
  placeAngle,
  placeCount,
  relativeSpread,
  type StageElement,
  toJudged,
} from "../stages";
import { differenceUncertainty, pooledDeviation, type ReadingBudget } from "../statistics";

export type TypedReading = { tooth: number; turn: number; typed: string; struck: boolean };
/** What is left out is the usual: an indicator's way at the pitch circle, nothing held. */
export type RoundMethod = Partial<MeasuringWay> & { indicatorRadiusMm: number | null; indicatorAngleDeg: number };
/** In the unit that the instrument shows. */
export type InstrumentFigures = { resolution: number; expandedUncertainty: number; coverage: number };

export type RoundValues = {
  /** As the readings came, struck ones included. */
  readings: { gearAngleDeg: number; value: number; unit: string; struck: boolean }[];
  /** null where none is used. */
  indicatorRadiusMm: number | null;
  /** Expanded uncertainty (k = 2) of one reading, in the judged unit. */
  expandedUncertainty: number;
  budget: ReadingBudget;
};

export const wayOf = (method: RoundMethod, usual: MeasuredQuantity): MeasuringWay => ({
  quantity: method.quantity ?? usual,
  indicatorRadiusMm: method.indicatorRadiusMm,
  indicatorAngleDeg: method.indicatorAngleDeg,
  held: method.held ?? null,
});

/**
 * What a person typed round the turn, as the quantity that the stage is judged by, with its uncertainty. Bare numbers are in the
 * unit of what is measured. Repeats at one place tell the repeatability once there are three degrees of freedom. Where the way
 * is not linear the uncertainty is that at the greatest slope read.
 *
 * @param usual what is measured where the method does not say
 * @returns values in the order typed; or a refusal of the geometry, or at readings.i.tooth (`no-such-tooth`), or of what was typed at
 *   readings.i.typed
 */
export function typedRound(
  element: StageElement,
  instrument: InstrumentFigures,
  method: RoundMethod,
  readings: readonly TypedReading[],
  usual: MeasuredQuantity = "circumferential-backlash",
): Result<RoundValues> {
  const measuring = wayOf(method, usual);
  const found = toJudged(element, measuring);
  if (!found.ok) return found;
  const way = found.value;
  const frame = frameOf(element);
  const unit = measuredUnit[measuring.quantity];
  const values: (RoundValues["readings"][number] & { measured: number; place: number })[] = [];
  for (const [i, reading] of readings.entries()) {
    if (reading.tooth < 1 || reading.tooth > placeCount(frame))
      return refuse("no-such-tooth", ["readings", i, "tooth"], { tooth: reading.tooth, teeth: placeCount(frame) });
    const parsed = parseQuantity(reading.typed, unit.dimension, unit.bare);
    if (!parsed.ok) return refuse(parsed.refusal.code, ["readings", i, "typed"], parsed.refusal.facts);
    const measured = parsed.value.value * unit.factor;
    const value = way.convert(measured);
    if (!Number.isFinite(value)) return refuse("too-small", ["readings", i, "typed"]);
    values.push({
      gearAngleDeg: placeAngle(frame, reading),
      value,
      unit: parsed.value.unit.id,
      struck: reading.struck,
      measured,
      // Another turn brings other teeth into mesh there.
      place: reading.tooth + 1e6 * reading.turn,
    });
  }
  const counting = values.filter((v) => !v.struck);
  const repeats = pooledDeviation(counting.map((v) => [v.place, v.measured] as const));
  const figure = perFigure(measuring.quantity);
  const one = differenceUncertainty(
    figure * instrument.resolution,
    figure * instrument.expandedUncertainty,
    instrument.coverage,
    repeats && repeats.freedom >= 3 ? { sd: repeats.sd, count: 1 } : undefined,
  );
  const slope = Math.max(
    ...(counting.length > 0 ? counting.map((v) => Math.abs(way.factor(v.measured))) : [Math.abs(way.factor(1))]),
  );
  const spread = relativeSpread(element, measuring.quantity) * Math.max(0, ...counting.map((v) => v.value));
  return accept({
    readings: values.map(({ gearAngleDeg, value, unit, struck }) => ({ gearAngleDeg, value, unit, struck })),
    indicatorRadiusMm: way.indicatorRadiusMm,
    expandedUncertainty: Math.hypot(slope * one, 2 * way.ownUncertainty, 2 * spread),
    budget: {
      resolution: (slope * figure * instrument.resolution) / Math.sqrt(6),
      calibration: (slope * figure * instrument.expandedUncertainty) / instrument.coverage,
      way: Math.hypot(way.ownUncertainty, spread),
      repeats: repeats && { sd: slope * repeats.sd, freedom: repeats.freedom },
    },
  });
}
