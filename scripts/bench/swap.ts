import { gearsToMake, type SwapGear, type SwapQuestion, spurPair, swapOptions } from "../../core/gears";
import { seededRandom } from "../../core/practice";
import { invented, keyOf, naiveSwap } from "../../tests/naive-swap";
import { frameMs, timed } from "./timed";

const gears = 200;
const cases = 5000;
const stepMm = 0.01;

/** What it costs to look through two hundred gears for every pair that fits, and of random slots and stores what is lost or invented. */
export function measureSwap(): void {
  const present = { ...spurPair([40, 80], 2), centreDistanceMm: 120.2 };
  const question: SwapQuestion = {
    present,
    boresMm: [null, null],
    band: { lo: 0.08, hi: 0.2 },
    travelMm: { min: -2, max: 2 },
    gears: gearsToMake(present, 12, 11 + gears).map((gear) => ({ ...gear, count: 2 })),
    reversed: true,
  };
  const found = swapOptions(question).options.length;
  const { median } = timed(() => swapOptions(question));
  console.log(
    `swap, ${gears} gears with a slot: ${found} pairs of ${gears * gears} fit, ${(median / frameMs).toFixed(1)} frames`,
  );

  const count = { pairs: 0, lost: 0, invented: 0 };
  for (let seed = 1; seed <= cases; seed++) {
    const random = randomQuestion(seed);
    const { options } = swapOptions(random);
    const keys = new Set(options.slice(1).map(keyOf));
    count.pairs += keys.size;
    count.lost += naiveSwap(random, stepMm).filter((key) => !keys.has(key)).length;
    count.invented += invented(random, options).length;
  }
  console.log(
    `swap, ${cases} random slots and stores against trying every pair each ${stepMm} mm: ${count.pairs} pairs, ${count.lost} lost, ${count.invented} invented`,
  );
}

function randomQuestion(seed: number): SwapQuestion {
  const random = seededRandom(seed);
  const whole = (from: number, to: number) => from + Math.floor(random() * (to - from + 1));
  const moduleMm = [0.5, 25.4 / 32, 1, 2][whole(0, 3)] as number;
  const teeth = [whole(8, 40), whole(8, 80)] as const;
  const part = (random() * 0.3 * moduleMm) / 2;
  const present = {
    ...spurPair(teeth, moduleMm),
    profileShift: [random() * 0.5, random() * 0.3 - 0.15] as const,
    centreDistanceMm: (moduleMm * (teeth[0] + teeth[1])) / 2 + part,
  };
  const lo = random() * 0.1 * moduleMm;
  const [like] = gearsToMake(present, 8, 8);
  const stock = Array.from({ length: whole(0, 5) }, (_, i) => ({
    ...(like as SwapGear),
    id: `g${i}`,
    teeth: Math.max(8, teeth[random() < 0.5 ? 0 : 1] + whole(-3, 3)),
    profileShift: random() < 0.5 ? 0 : random() * 0.4,
    count: whole(1, 2),
  }));
  return {
    present,
    boresMm: [null, null],
    band: { lo, hi: lo + (0.05 + random() * 0.2) * moduleMm },
    travelMm: { min: -random() * 1.5 * moduleMm, max: random() * 1.5 * moduleMm },
    gears: stock,
    reversed: random() < 0.5,
  };
}
