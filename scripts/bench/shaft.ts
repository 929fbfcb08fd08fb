import { mustHold } from "../../core/quantity";
import { planShaft } from "../../core/shafts";
import type { ShaftQuestion } from "../../core/stacks";

/** Sixty parts, every third with a plane, and a drawer of forty sizes with twenty of each: more than any shaft or drawer has. */
const worst: ShaftQuestion = {
  lengthMm: 900,
  items: Array.from({ length: 60 }, (_, i) => ({
    id: `p${i}`,
    widthMm: 12 + (i % 7) / 10,
    planeMm: 6,
    toleranceMm: 0.3,
    ...(i % 3 === 2 ? { planeAtMm: 14.4 * i + 8 } : {}),
  })),
  spacers: Array.from({ length: 40 }, (_, i) => ({ widthMm: 0.05 + i * 0.07, count: 20 })),
  endFloat: { loMm: 0.1, hiMm: 0.2 },
};

/** The demo's feed shaft with what its drawers hold. */
const usual: ShaftQuestion = {
  lengthMm: 160,
  items: [12, 30, 60, 25, 12, 12].map((widthMm, i) => ({
    id: `p${i}`,
    widthMm,
    planeMm: widthMm / 2,
    toleranceMm: 0.2,
    ...(i === 1 ? { planeAtMm: 29 } : i === 3 ? { planeAtMm: 119.5 } : {}),
  })),
  spacers: [0.051, 0.101, 0.199, 0.3, 0.502, 0.8, 1, 1.6, 2, 2.5, 5].map((widthMm) => ({ widthMm, count: 4 })),
  endFloat: { loMm: 0.1, hiMm: 0.2 },
};

/** The planner of shafts, as its worker runs it: the worst question against a usual one, and how often it tells how far it is. */
export async function measureShaft(): Promise<void> {
  const run = (question: ShaftQuestion) => {
    let told = 0;
    const before = performance.now();
    const plan = mustHold(planShaft(question, () => told++));
    return { ms: performance.now() - before, told, plan };
  };
  run(usual);
  const [often, hard] = [run(usual), run(worst)];
  const pieces = worst.spacers.reduce((sum, { count }) => sum + count, 0);
  console.log(
    `shaft planner in its worker: ${worst.items.length} parts, ${pieces} pieces in ${worst.spacers.length} sizes, ${(hard.ms / often.ms).toFixed(1)} × a usual shaft; told ${hard.told} times how far it is; ${often.plan.fewest ? "the usual one goes together" : "the usual one does not go together"}, ${often.plan.makings.length} gaps could take one that is made`,
  );
}
