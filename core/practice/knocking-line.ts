import { normalDeviate, type Random } from "./random";

/** One stage of a line that is turned: gears, a belt or a chain; `joint`: teeth or links of what goes round both wheels. */
export type TurnedStage = { teeth: readonly [number, number]; joint: number | null };

/** What of a stage is at fault, once round: a tooth of the driving or driven wheel, or the joint of what goes round. */
export type KnockingPart = { stage: number; part: "driver" | "driven" | "joint" };

/**
 * A drive line in a row, turned tooth by tooth, and when the part at fault comes into mesh. It knows nothing of ratios: every stage hands on as
 * many teeth as it takes in, and a wheel is round when all its teeth have passed.
 *
 * @param rpm of the first driving wheel
 * @param seconds for how long
 * @returns times of the knocks, s
 */
export function turnLine(
  stages: readonly TurnedStage[],
  knocking: KnockingPart,
  rpm: number,
  seconds: number,
): number[] {
  const knocks: number[] = [];
  const first = stages[0];
  if (!first) return knocks;
  // Turns of each stage's driving wheel are counted in teeth that passed its mesh, fractions carried along.
  const secondsPerTooth = 60 / (rpm * first.teeth[0]);
  const passed = stages.map(() => 0);
  const steps = Math.floor(seconds / secondsPerTooth);
  for (let step = 1; step <= steps; step++) {
    let teeth = 1;
    for (const [i, stage] of stages.entries()) {
      const before = passed[i] ?? 0;
      const now = before + teeth;
      passed[i] = now;
      const round =
        knocking.stage === i
          ? knocking.part === "driver"
            ? stage.teeth[0]
            : knocking.part === "driven"
              ? stage.teeth[1]
              : stage.joint
          : null;
      if (round !== null)
        for (let k = Math.floor(before / round) + 1; k * round <= now; k++) {
          const share = (k * round - before) / (now - before);
          knocks.push((step - 1 + share) * secondsPerTooth);
        }
      const next = stages[i + 1];
      if (!next) break;
      // The driven wheel and the next driving one sit on one shaft.
      teeth = (teeth / stage.teeth[1]) * next.teeth[0];
    }
  }
  return knocks;
}

/** Knocks as a hand taps along: late or early by so much, a beat missed now and then. */
export const tapAlong = (knocks: readonly number[], random: Random, sdSeconds: number, missed: number): number[] =>
  knocks
    .filter((_, i) => i === 0 || random() >= missed)
    .map((knock) => knock + normalDeviate(random, sdSeconds))
    .sort((a, b) => a - b);
