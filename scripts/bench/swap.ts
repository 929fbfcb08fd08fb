import { gearsToMake, spurPair, swapOptions } from "../../core/gears";
import { frameMs, timed } from "./timed";

const gears = 200;

/** What it costs to look through two hundred gears for every pair that fits, with a slot of two millimetres either way. */
export function measureSwap(): void {
  const present = { ...spurPair([40, 80], 2), centreDistanceMm: 120.2 };
  const stock = gearsToMake(present, 12, 11 + gears).map((gear) => ({ ...gear, count: 2 }));
  const question = { present, band: { lo: 0.08, hi: 0.2 }, travelMm: { min: -2, max: 2 }, gears: stock };
  const found = swapOptions(question).length;
  const { median } = timed(() => swapOptions(question));
  console.log(
    `swap, ${gears} gears with a slot: ${found} pairs of ${gears * gears} fit, ${(median / frameMs).toFixed(1)} frames`,
  );
}
