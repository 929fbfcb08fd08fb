import { decimalsFor } from "../quantity";
import { type MeasuredQuantity, measuredUnit, waysToMeasure } from "../stages";
import { normalDeviate, type Random } from "./random";
import { type HiddenStage, simulatedStage } from "./simulated-stage";
import { type UsualInstrument, usualInstruments } from "./usual-instruments";

/** Kinds that ship as simulated ones, each by the usual instrument that it stands for. */
export const simulatedKeys = ["lever", "caliper", "feelers", "meter", "gauge", "clamp-meter", "thermometer"] as const;
export type SimulatedKey = (typeof simulatedKeys)[number];

export const simulatedInstruments: readonly UsualInstrument[] = simulatedKeys.flatMap((key) =>
  usualInstruments.filter((instrument) => instrument.key === key),
);

/** Standard deviation of a hand's reading, in steps of the instrument. */
const noiseInSteps = 0.35;
/** What a motor draws and what a bearing has, A and °C, and how they stray. */
const beside = { current: { mean: 3.8, sd: 0.15 }, temperature: { mean: 24, sd: 0.6 } } as const;

/**
 * What a simulated instrument would type at a place of a stage with hidden wobble, as a wedge keyboard does: a figure in its own steps.
 *
 * @param movedMm changes of centre distance since the stage was as `hidden` says
 * @returns null where this instrument reads nothing on such a stage
 */
export function wedgeReading(
  key: SimulatedKey,
  hidden: HiddenStage,
  movedMm: readonly number[],
  place: number,
  random: Random,
): string | null {
  const instrument = simulatedInstruments.find((one) => one.key === key);
  if (!instrument) return null;
  const { dimension, resolution, leavesMm } = instrument;
  const shown = (value: number) => value.toFixed(decimalsFor(resolution));
  if (dimension === "current" || dimension === "temperature") {
    const { mean, sd } = beside[dimension];
    return shown(Math.round((mean + normalDeviate(random, sd)) / resolution) * resolution);
  }
  const quantity = quantityReadBy(key, hidden);
  if (!quantity) return null;
  const stage = simulatedStage(hidden, quantity, resolution, noiseInSteps * resolution, random);
  for (const change of movedMm) stage.moveCentres(change);
  const measured = stage.measure(place);
  // Of a set of feelers it is the thickest leaf that goes in.
  return shown(leavesMm.length > 0 ? (leavesMm.findLast((leaf) => leaf <= measured + 1e-9) ?? measured) : measured);
}

/** What is read with it on such a stage; undefined: nothing. */
export function quantityReadBy(
  key: SimulatedKey,
  { element }: Pick<HiddenStage, "element">,
): MeasuredQuantity | undefined {
  const dimension = simulatedInstruments.find((one) => one.key === key)?.dimension;
  const ways = waysToMeasure(element).filter((way) => measuredUnit[way].dimension === dimension);
  // Feelers go between flanks, a caliper over pitches; an indicator reads the free way.
  const liked: Partial<Record<SimulatedKey, MeasuredQuantity>> = { feelers: "normal-backlash", caliper: "elongation" };
  return ways.find((way) => way === liked[key]) ?? ways[0];
}
