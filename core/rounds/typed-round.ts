import { gearPair, type PairGeometry } from "../gears";
import { accept, parseQuantity, type Result, refuse } from "../quantity";
import { differenceUncertainty, pooledDeviation } from "../statistics";
import { indicatorFactor } from "./indicator";
import { type MeasuredQuantity, toBacklash } from "./measured";

export type TypedReading = { tooth: number; turn: number; typed: string; struck: boolean };
export type RoundMethod = {
  /** Left out: the rim's free way, with an indicator. */
  quantity?: MeasuredQuantity | undefined;
  /** Where the indicator's tip touches; null: at the working pitch circle. */
  indicatorRadiusMm: number | null;
  indicatorAngleDeg: number;
};
export type InstrumentFigures = { resolutionMm: number; expandedUncertaintyMm: number; coverage: number };

export type RoundValues = {
  /** As the readings came, struck ones included. */
  readings: { gearAngleDeg: number; backlashMm: number; unit: string; struck: boolean }[];
  indicatorRadiusMm: number;
  /** Expanded uncertainty (k = 2) of one reading, at the working pitch circle. */
  expandedUncertaintyMm: number;
};

/**
 * What a person typed round the turn, as circumferential backlash at the working pitch circle with its uncertainty. Bare
 * numbers are millimetres of the indicator. Repeats at one position tell the repeatability once there are three degrees of
 * freedom.
 *
 * @returns values in the order typed; or a refusal of the pair, or at readings.i.tooth (`no-such-tooth`), or of what was typed
 *   at readings.i.typed
 */
export function typedRound(
  pair: PairGeometry,
  instrument: InstrumentFigures,
  method: RoundMethod,
  readings: readonly TypedReading[],
): Result<RoundValues> {
  const mesh = gearPair(pair);
  if (!mesh.ok) return mesh;
  const workingRadius = mesh.value.workingPitchDiameterMm[1] / 2;
  const indicatorRadiusMm = method.indicatorRadiusMm ?? workingRadius;
  const way = toBacklash(
    pair,
    mesh.value,
    method.quantity ?? "circumferential-backlash",
    indicatorFactor(workingRadius, indicatorRadiusMm, method.indicatorAngleDeg),
  );
  const values: RoundValues["readings"] = [];
  for (const [i, reading] of readings.entries()) {
    if (reading.tooth < 1 || reading.tooth > pair.teeth[1])
      return refuse("no-such-tooth", ["readings", i, "tooth"], { tooth: reading.tooth, teeth: pair.teeth[1] });
    const parsed = parseQuantity(reading.typed, "length", "mm");
    if (!parsed.ok) return refuse(parsed.refusal.code, ["readings", i, "typed"], parsed.refusal.facts);
    const backlashMm = way.convert(parsed.value.value);
    if (!Number.isFinite(backlashMm)) return refuse("too-small", ["readings", i, "typed"]);
    values.push({
      gearAngleDeg: gearAngle(reading, pair.teeth[1]),
      backlashMm,
      unit: parsed.value.unit.id,
      struck: reading.struck,
    });
  }
  const repeats = pooledDeviation(
    values.filter((v) => !v.struck).map((v) => [v.gearAngleDeg, v.backlashMm / way.factor] as const),
  );
  return accept({
    readings: values,
    indicatorRadiusMm,
    expandedUncertaintyMm: Math.hypot(
      way.factor *
        differenceUncertainty(
          instrument.resolutionMm,
          instrument.expandedUncertaintyMm,
          instrument.coverage,
          repeats && repeats.freedom >= 3 ? { sd: repeats.sd, count: 1 } : undefined,
        ),
      2 * way.ownUncertainty,
    ),
  });
}

/** Cumulative gear angle of a tooth counted from 1 at the witness mark, on a turn counted from 1. */
export const gearAngle = ({ tooth, turn }: { tooth: number; turn: number }, teeth: number): number =>
  (((turn - 1) * teeth + tooth - 1) * 360) / teeth;
