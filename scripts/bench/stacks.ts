import highsLoader from "highs";
import { seededRandom } from "../../core/practice";
import { mustHold } from "../../core/quantity";
import { type StackQuestion, shimStack } from "../../core/stacks";

const drawers = 500;

/** The same drawers put to our table of totals and to a general integer program (HiGHS): same optimum, ratio of times. */
export async function measureStacks(): Promise<void> {
  const highs = await highsLoader();
  const random = seededRandom(11);
  const questions = Array.from({ length: drawers }, () => drawer(random));
  let same = 0;
  const time = (work: () => void) => {
    const before = performance.now();
    work();
    return performance.now() - before;
  };
  for (const question of questions.slice(0, 20)) mustHold(shimStack(question));
  let ours = 0;
  let theirs = 0;
  for (const question of questions) {
    let best: Optimum = null;
    let optimum: Optimum = null;
    ours += time(() => {
      const found = mustHold(shimStack(question)).best;
      best = found && { total: Math.round(found.totalMm * 1000), pieces: found.pieces };
    });
    theirs += time(() => {
      const solved = highs.solve(program(question), { mip_rel_gap: 0, mip_abs_gap: 0 });
      if (solved.Status !== "Optimal") return;
      const counts = question.stock.map((_, i) => Math.round(solved.Columns[`x${i}`]?.Primal ?? 0));
      optimum = {
        total: question.stock.reduce(
          (sum, { thicknessMm }, i) => sum + Math.round(thicknessMm * 1000) * (counts[i] ?? 0),
          0,
        ),
        pieces: counts.reduce((sum, count) => sum + count, 0),
      };
    });
    if (JSON.stringify(best) === JSON.stringify(optimum)) same++;
  }
  console.log(
    `shim stacks, ${drawers} random drawers against a general integer program: ${same} of ${drawers} the same optimum, ${(theirs / ours).toFixed(0)} times as fast`,
  );
}

type Optimum = { total: number; pieces: number } | null;

function drawer(random: () => number): StackQuestion {
  const whole = (most: number) => Math.floor(random() * most);
  const sizes = new Set(Array.from({ length: 3 + whole(14) }, () => 10 + 5 * whole(200)));
  const lo = 20 + whole(60);
  return {
    gapMm: (500 + whole(4500)) / 1000,
    target: { loMm: lo / 1000, hiMm: (lo + 10 + whole(90)) / 1000 },
    stock: [...sizes].map((um) => ({ thicknessMm: um / 1000, count: 1 + whole(5) })),
    maxPieces: 2 + whole(7),
    alternatives: 0,
  };
}

/** In micrometres: the distance from the aim first, then the pieces, then the thinner stack, by weights that never mix. */
function program({ gapMm, target, stock, maxPieces }: StackQuestion): string {
  const um = (mm: number) => Math.round(mm * 1000);
  const [gap, lo, hi] = [um(gapMm), um(target.loMm), um(target.hiMm)];
  const total = stock.map(({ thicknessMm }, i) => `${um(thicknessMm)} x${i}`).join(" + ");
  const pieces = stock.map((_, i) => `x${i}`).join(" + ");
  const cost = stock.map(({ thicknessMm }, i) => `${1000 + um(thicknessMm)} x${i}`).join(" + ");
  const aim = gap - (lo + hi) / 2;
  return `Minimize
 obj: 100000 d + ${cost}
Subject To
 low: ${total} >= ${gap - hi}
 high: ${total} <= ${gap - lo}
 over: ${total} - d <= ${aim}
 under: ${total} + d >= ${aim}
 most: ${pieces} <= ${maxPieces}
Bounds
 d >= 0
${stock.map(({ count }, i) => ` 0 <= x${i} <= ${count}`).join("\n")}
General
 ${stock.map((_, i) => `x${i}`).join(" ")}
End
`;
}
