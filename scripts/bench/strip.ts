import { type OrderedPart, stripOrder } from "../../core/guides";
import { seededRandom } from "../../core/practice";
import { frameMs, timed } from "./timed";

const count = 400;

/** Parts that each wait for up to five earlier ones and hide up to two, in a list that was shuffled; or all of them in one ring. */
function partsOf(ringed: boolean): OrderedPart[] {
  const random = seededRandom(count);
  const below = (i: number, most: number) =>
    i === 0 ? [] : Array.from({ length: Math.floor(random() * (most + 1)) }, () => `p${Math.floor(random() * i)}`);
  const parts = Array.from({ length: count }, (_, i) => ({
    id: `p${i}`,
    after: i === 0 && ringed ? [`p${count - 1}`] : [...below(i, 4), ...(i > 0 ? [`p${i - 1}`] : [])],
    hides: below(i, 2),
    screws: 4,
  }));
  return parts
    .map((part) => ({ part, key: random() }))
    .sort((a, b) => a.key - b.key)
    .map(({ part }) => part);
}

/** What the order of four hundred parts costs, and what comes off to reach one; the same where all wait for one another. */
export function measureStrip(): void {
  for (const [what, parts] of [
    ["an order, and what comes off to reach a part", partsOf(false)],
    ["one ring of all of them found", partsOf(true)],
  ] as const) {
    const { median } = timed(() => stripOrder(parts, "p200"));
    console.log(`strip-order, ${count} parts: ${what}, ${((100 * median) / frameMs).toFixed(0)} % of a frame`);
  }
}
