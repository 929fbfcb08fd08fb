import { micrometres } from "./micrometres";

type Spacers = readonly { widthMm: number; count: number }[];

/**
 * A drawer thinned until the ways of taking from it can be looked through: of the size that there are most of one piece less, over and
 * over; and where one of each is still too many, the widest goes. What is wider than the room is left out.
 */
export function fewerSpacers(
  spacers: Spacers,
  roomMm: number,
  mostWays: number,
): { spacers: { widthMm: number; count: number }[]; thinned: boolean } {
  const sizes = new Map<number, { widthMm: number; count: number }>();
  const room = micrometres(roomMm);
  for (const { widthMm, count } of spacers) {
    const um = micrometres(widthMm);
    if (um <= 0 || um > room || count <= 0) continue;
    const there = sizes.get(um) ?? { widthMm, count: 0 };
    there.count = Math.min(there.count + count, Math.floor(room / um));
    sizes.set(um, there);
  }
  const left = [...sizes.values()].sort((a, b) => a.widthMm - b.widthMm);
  let thinned = false;
  while (left.reduce((ways, { count }) => ways * (count + 1), 1) > mostWays) {
    thinned = true;
    const most = left.reduce((a, b) => (b.count > a.count ? b : a));
    if (most.count > 1) most.count -= 1;
    else left.pop();
  }
  return { spacers: left, thinned };
}
