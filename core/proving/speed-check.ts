import type { SpeedFind } from "./vocabulary";

/** Turns of the source for one of a stage's output, in each of its gears; `gear` null where it has but one. */
export type GearTurns = { gear: string | null; ratio: number };

export type SpeedChecked = {
  /** null: what drives it, or how fast, is not known. */
  predictedRpm: number | null;
  /** 100·(measured/predicted − 1). */
  offPercent: number | null;
  find: SpeedFind;
  /** The gear that the speed is that of, where it is another one than was named. */
  gear?: string;
};

/** Nearer than this to what the train gives nothing slips; a belt creeps by less. Common practice. */
export const speedTolerancePercent = 3;

/**
 * A measured output speed against what the train gives. A gear that was named wrongly gives another gear's speed to within the tolerance, which a
 * slipping belt only happens to do.
 *
 * @param rpm measured, a magnitude
 * @param uncertaintyPercent of the measurement; counts where it is greater than the tolerance
 * @param motorRpm of this run; null: not known
 * @param turns of every gear; empty: the stage stands in no drive line
 */
export function speedCheck({
  rpm,
  uncertaintyPercent,
  motorRpm,
  gear,
  turns,
}: {
  rpm: number;
  uncertaintyPercent: number;
  motorRpm: number | null;
  gear: string | null;
  turns: readonly GearTurns[];
}): SpeedChecked {
  const predicted = (of: GearTurns | undefined) =>
    of === undefined || motorRpm === null ? null : Math.abs(motorRpm / of.ratio);
  const named = predicted(turns.find((turn) => turn.gear === gear));
  if (named === null) return { predictedRpm: null, offPercent: null, find: "not-known" };
  const off = (rate: number) => 100 * (rpm / rate - 1);
  const within = Math.max(speedTolerancePercent, uncertaintyPercent);
  const offPercent = off(named);
  const told = { predictedRpm: named, offPercent };
  if (Math.abs(offPercent) <= within) return { ...told, find: "as-predicted" };
  const other = turns.find((turn) => turn.gear !== gear && Math.abs(off(predicted(turn) as number)) <= within);
  if (other?.gear) return { ...told, find: "other-gear", gear: other.gear };
  return { ...told, find: offPercent < 0 ? "slips" : "runs-ahead" };
}

/** How far off a thumb on a stopwatch is, start and stop together, s. Common practice. */
export const thumbSeconds = 0.3;

/**
 * Turns a minute by a stopwatch.
 *
 * @returns with how far they may be off for the thumb on it
 * @example 20 turns in 12.4 s // 96.8, ± 2.4 %
 */
export const turnsByStopwatch = (turns: number, seconds: number): { rpm: number; uncertaintyPercent: number } => ({
  rpm: (60 * turns) / seconds,
  uncertaintyPercent: (100 * thumbSeconds) / seconds,
});
