import { tensionFirst } from "../../core/advice";
import { normalDeviate, seededRandom } from "../../core/practice";
import { mustHold } from "../../core/quantity";

const belts = 5000;
const most = 6;

/**
 * New belts of unknown stiffness, up to 60 % off the guess either way, which stiffen by up to 40 % as they are drawn up, read with scatter, and
 * moved as told until they conform: how many are inside after each move, and how many were ever over the limit.
 */
export async function measureTensioning(): Promise<void> {
  const inside = Array.from({ length: most + 1 }, () => 0);
  let over = 0;
  for (let seed = 1; seed <= belts; seed++) {
    const random = seededRandom(seed);
    const guess = 20 + 180 * random();
    const lo = 60 + 200 * random();
    const limitsN = { lo, hi: lo * (1.25 + 0.25 * random()) };
    const readingSdN = (0.01 + 0.01 * random()) * lo;
    // Its stiffness at first, and how much that grows up to the limits.
    const first = guess * Math.exp(normalDeviate(random, Math.log(1.6)));
    const grows = 0.4 * random();
    const start = 0.2 * lo;
    const tensionAt = (way: number): number => {
      // dT/dx = k·(1 + g·T/hi): an exponential, a line where nothing grows.
      if (grows < 1e-6) return start + first * way;
      const c = grows / limitsN.hi;
      return ((1 + c * start) * Math.exp(c * first * way) - 1) / c;
    };
    let way = 0;
    const moves: { amount: number; readingN: number }[] = [];
    const read = (truth: number) => Math.max(1, truth + normalDeviate(random, readingSdN));
    const tensionN = read(start);
    let wasOver = false;
    for (let n = 0; n <= most; n++) {
      const truth = tensionAt(way);
      if (truth > limitsN.hi) wasOver = true;
      if (truth >= limitsN.lo && truth <= limitsN.hi) {
        for (let k = n; k <= most; k++) (inside[k] as number)++;
        break;
      }
      const answer = tensionFirst({ tensionN, readingSdN, perUnitN: guess, spread: 0.6, limitsN, risk: 0.005, moves });
      // A reading that does not follow its move: it is read again, as one would.
      if (!answer.ok) break;
      const { move } = mustHold(answer);
      if (!move) break;
      way += move.amount;
      moves.push({ amount: move.amount, readingN: read(tensionAt(way)) });
    }
    if (wasOver) over++;
  }
  const percent = (count: number | undefined) => `${((100 * (count ?? 0)) / belts).toFixed(1)} %`;
  console.log(
    `first tensioning, ${belts} belts of guessed stiffness: inside after 1, 2, 3 moves ${percent(inside[1])}, ${percent(inside[2])}, ${percent(inside[3])}, after ${most} ${percent(inside[most])}; ever over the limit ${percent(over)}`,
  );
}
