import { gcd, symmetricEigenvalues } from "../numerics";
import { accept, type Result, refuse } from "../quantity";
import { conditionOf, pairTerms, separableCondition } from "./harmonics";

export type RoundPlan = {
  gearToothIndices: number[];
  conditionNumber: number | null;
  huntingTurns: number;
  separable: boolean;
};

/**
 * Tooth positions for a round that can tell gear runout from pinion runout. Even spacing over one turn looks right and
 * fails whenever the ratio aliases with the count (20/60 at six positions sees nothing of the pinion). So: the best of the
 * evenly spread sets over 1 … maxTurns turns, then exchange one position for another tooth while that lowers the condition
 * number (Fedorov, Theory of Optimal Experiments, 1972), from that set and, while that stays above 1.6 (no set can beat √2),
 * from a few scattered ones, since exchange stops in the nearest hollow. After `exchangeBudget` trials it stops anyway;
 * with so many positions an even spread is as good.
 *
 * Trials compare κ² by the eigenvalues of XᵀX, updated by one row; what is returned is κ of X itself, whose small singular
 * value XᵀX cannot hold.
 *
 * @param teeth pinion and gear
 * @param positions how many readings, at most maxTurns·z2
 * @param maxTurns gear turns the round may take; tooth index k stands for the gear angle k·360/z2
 * @returns indices in rising order, no index twice; κ null below five positions and above 1e12;
 *   or a refusal `too-many-positions` at positions
 */
export function roundPlan(teeth: readonly [number, number], positions: number, maxTurns: number): Result<RoundPlan> {
  const [z1, z2] = teeth;
  const most = maxTurns * z2;
  if (positions > most) return refuse("too-many-positions", ["positions"], { most });
  const huntingTurns = z1 / gcd(z1, z2);
  const leastTurns = Math.ceil(positions / z2);
  const lastTurns = Math.min(maxTurns, Math.max(huntingTurns, leastTurns), leastTurns + 64);
  const term = (k: number) => pairTerms((k * 360) / z2, z2 / z1);

  const even: number[][] = [];
  for (let turns = leastTurns; turns <= lastTurns; turns++) even.push(evenPositions(positions, z2, turns));
  const first = even[0] ?? [];
  if (positions < 5) return accept({ gearToothIndices: first, conditionNumber: null, huntingTurns, separable: false });

  const budget = { left: exchangeBudget };
  let best = even.reduce((a, b) => (squaredCondition(b, term) < squaredCondition(a, term) * (1 - 1e-9) ? b : a));
  let bestSquared = squaredCondition(best, term);
  for (const start of [best, ...scatteredPositions(positions, lastTurns * z2)]) {
    if (bestSquared <= (start === best ? goodEnough : worthKeeping) || budget.left <= 0) break;
    const candidate = exchange(start, lastTurns * z2, term, budget);
    const squared = squaredCondition(candidate, term);
    if (squared < bestSquared * (1 - 1e-9)) [best, bestSquared] = [candidate, squared];
  }
  const condition = conditionOf(best.map(term));
  return accept({
    gearToothIndices: best,
    conditionNumber: condition > 1e12 ? null : condition,
    huntingTurns,
    separable: condition <= separableCondition,
  });
}

const exchangeBudget = 40_000;
/** κ² of √2 and a hair. */
const goodEnough = 2.01;
/** κ² of 1.6: no scattered start is tried once this is reached. */
const worthKeeping = 2.56;

const evenPositions = (positions: number, z2: number, turns: number): number[] =>
  Array.from({ length: positions }, (_, i) => Math.floor((i * turns * z2) / positions + 0.5));

/** Sets spread by multiples of the golden section, each tooth once; the same ones every time. */
function scatteredPositions(positions: number, teeth: number): number[][] {
  return Array.from({ length: 12 }, (_, set) => {
    const chosen = new Set<number>();
    const stride = 0.6180339887498949 * (1 + 0.37 * set);
    for (let i = 0; chosen.size < positions; i++) {
      let k = Math.floor(((i * stride) % 1) * teeth);
      while (chosen.has(k)) k = (k + 1) % teeth;
      chosen.add(k);
    }
    return [...chosen];
  });
}

function squaredCondition(indices: readonly number[], term: (k: number) => number[]): number {
  return conditionOfGram(gramOf(indices.map(term)));
}

function conditionOfGram(gram: number[][]): number {
  const values = symmetricEigenvalues(gram);
  const least = Math.min(...values);
  return least <= 0 ? Number.POSITIVE_INFINITY : Math.max(...values) / least;
}

const gramOf = (rows: readonly (readonly number[])[]): number[][] => {
  const gram = Array.from({ length: 5 }, () => new Array<number>(5).fill(0));
  for (const row of rows) addRow(gram, row, 1);
  return gram;
};

function addRow(gram: number[][], row: readonly number[], times: 1 | -1): void {
  for (let i = 0; i < 5; i++) {
    const target = gram[i] as number[];
    for (let j = 0; j < 5; j++) target[j] = (target[j] as number) + times * (row[i] as number) * (row[j] as number);
  }
}

/** Position by position the other tooth that lowers κ most, until no exchange helps; sorted. */
function exchange(
  start: readonly number[],
  teeth: number,
  term: (k: number) => number[],
  budget: { left: number },
): number[] {
  const chosen = [...start];
  const taken = new Set(chosen);
  let squared = squaredCondition(chosen, term);
  const stride = Math.max(1, Math.ceil((chosen.length * teeth * 3) / exchangeBudget));
  for (let improved = true; improved && squared > goodEnough && budget.left > 0; ) {
    improved = false;
    const gram = gramOf(chosen.map(term));
    for (let i = 0; i < chosen.length; i++) {
      const old = chosen[i] as number;
      addRow(gram, term(old), -1);
      let better = old;
      for (let k = (i * 7) % stride; k < teeth && budget.left > 0; k += stride) {
        if (taken.has(k)) continue;
        budget.left--;
        const row = term(k);
        addRow(gram, row, 1);
        const tried = conditionOfGram(gram);
        addRow(gram, row, -1);
        if (tried < squared * (1 - 1e-9)) [squared, better] = [tried, k];
      }
      addRow(gram, term(better), 1);
      if (better === old) continue;
      taken.delete(old);
      taken.add(better);
      chosen[i] = better;
      improved = true;
    }
  }
  return chosen.sort((a, b) => a - b);
}
