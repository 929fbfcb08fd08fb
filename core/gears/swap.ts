import { bisect } from "../numerics";
import { gearPair, type PairGeometry } from "./pair";

export type SwapGear = {
  id: string;
  name: string;
  teeth: number;
  moduleMm: number;
  pressureAngleDeg: number;
  /** Size alone; the partner's hand is taken to fit. */
  helixAngleDeg: number;
  profileShift: number;
  price: number | null;
  /** As somebody noted it. */
  noise: string;
  /** How many there are; null: it would be made, and may be shifted. */
  count: number | null;
};

export type SwapQuestion = {
  /** With the centre distance at which it is installed. */
  present: PairGeometry & { centreDistanceMm: number };
  /** Circumferential backlash that is wanted, mm. */
  band: { lo: number; aim?: number | undefined; hi: number };
  /** By how much the slot lets the centres go from where they are, mm. */
  travelMm: { min: number; max: number };
  gears: readonly SwapGear[];
};

export type SwapOption = {
  gears: readonly [SwapGear, SwapGear];
  /** "same-sum": where it stands; "travel": the slot is moved; "shift": gears that are made are shifted for it. */
  by: "same-sum" | "travel" | "shift";
  teeth: readonly [number, number];
  profileShift: readonly [number, number];
  centreDistanceMm: number;
  ratio: number;
  backlashMm: number;
  contactRatio: number;
  undercut: boolean;
  /** Of both; null where one has none. */
  price: number | null;
  /** Over both tip circles along the line of centres, and across it, mm. */
  envelopeMm: readonly [number, number];
};

/** Shifts beyond this leave pointed or undercut teeth on common counts (common practice). */
const mostShift = 0.6;

/**
 * Every pair of gears that can stand in the place of a pair: same module, pressure angle and helix, and a backlash inside the band at some
 * centre distance that the slot allows, or where gears are made, by a profile shift of the larger one. Nearest to the present ratio
 * first.
 *
 * Of all pairs only those are worked through whose tooth sum lies so near to the present one that travel or shift could make up for it:
 * one tooth more moves the centres by half a module. Exact involute backlash (ISO 21771) for those.
 *
 * @param progress told the share of the gears that are done, 0 to 1
 */
export function swapOptions(
  { present, band, travelMm, gears }: SwapQuestion,
  progress: (share: number) => void = () => {},
): SwapOption[] {
  const sum = tooth(present.internal, present.teeth);
  const fitting = gears.filter(
    (gear) =>
      near(gear.moduleMm, present.moduleMm) &&
      near(gear.pressureAngleDeg, present.pressureAngleDeg) &&
      near(Math.abs(gear.helixAngleDeg), Math.abs(present.helixAngleDeg)),
  );
  const bySum = new Map<number, SwapGear[]>();
  for (const gear of fitting) bySum.set(gear.teeth, [...(bySum.get(gear.teeth) ?? []), gear]);
  const halfModule = present.moduleMm / (2 * Math.cos((present.helixAngleDeg * Math.PI) / 180));
  const slack = Math.ceil((Math.max(travelMm.max, -travelMm.min) + band.hi * 2) / halfModule) + 2;
  const options: SwapOption[] = [];
  for (const [i, first] of fitting.entries()) {
    progress(i / fitting.length);
    for (let off = -slack; off <= slack; off++) {
      const teeth = present.internal ? first.teeth + sum + off : sum + off - first.teeth;
      for (const second of bySum.get(teeth) ?? []) {
        if (first === second && (first.count ?? 2) < 2) continue;
        const option = optionOf(present, band, travelMm, [first, second], off);
        if (option) options.push(option);
      }
    }
  }
  const now = present.teeth[1] / present.teeth[0];
  return options.sort((a, b) => Math.abs(Math.log(a.ratio / now)) - Math.abs(Math.log(b.ratio / now)));
}

const near = (a: number, b: number): boolean => Math.abs(a - b) < 1e-6;
const tooth = (internal: boolean, [z1, z2]: readonly [number, number]): number => (internal ? z2 - z1 : z1 + z2);

function optionOf(
  present: SwapQuestion["present"],
  band: SwapQuestion["band"],
  travel: SwapQuestion["travelMm"],
  gears: readonly [SwapGear, SwapGear],
  off: number,
): SwapOption | null {
  const teeth = [gears[0].teeth, gears[1].teeth] as const;
  if (teeth.some((count) => count < 3)) return null;
  const shift = [gears[0].profileShift, gears[1].profileShift] as const;
  const aim = band.aim ?? (band.lo + band.hi) / 2;
  const at = (centreDistanceMm: number, profileShift: readonly [number, number]) => {
    const pair = gearPair({ ...present, teeth, profileShift, centreDistanceMm, tipDiameterMm: undefined });
    return pair.ok ? pair.value : null;
  };
  const here = at(present.centreDistanceMm, shift);
  const inside = (backlash: number | undefined) => backlash !== undefined && backlash >= band.lo && backlash <= band.hi;
  if (here && inside(here.backlash.circumferentialMm)) return finished("same-sum", here, shift);

  // Backlash grows with the distance of the centres, of a ring with their nearness.
  const [from, to] = [present.centreDistanceMm + travel.min, present.centreDistanceMm + travel.max];
  const over = (centre: number) => (at(centre, shift)?.backlash.circumferentialMm ?? Number.NEGATIVE_INFINITY) - aim;
  if (to > from) {
    const [a, b] = [over(from), over(to)];
    const centre = a * b < 0 && Number.isFinite(a * b) ? bisect(over, from, to) : Math.abs(a) < Math.abs(b) ? from : to;
    const pair = at(centre, shift);
    if (pair && inside(pair.backlash.circumferentialMm)) return finished("travel", pair, shift);
  }
  if (gears.some(({ count }) => count !== null) || off === 0) return null;
  const shifted = (x: number) =>
    (at(present.centreDistanceMm, [shift[0], x])?.backlash.circumferentialMm ?? Number.NEGATIVE_INFINITY) - aim;
  const [low, high] = [shifted(-mostShift), shifted(mostShift)];
  if (!Number.isFinite(low) || !Number.isFinite(high) || low * high > 0) return null;
  const made = [shift[0], bisect(shifted, -mostShift, mostShift)] as const;
  const pair = at(present.centreDistanceMm, made);
  return pair && inside(pair.backlash.circumferentialMm) ? finished("shift", pair, made) : null;

  function finished(
    by: SwapOption["by"],
    pair: NonNullable<ReturnType<typeof at>>,
    profileShift: readonly [number, number],
  ): SwapOption | null {
    // Tips in roots jam whatever the flanks say; a ring's own room is in its clearance too.
    if (pair.transverseContactRatio < 1 || pair.tipClearanceMm.some((clearance) => clearance < 0)) return null;
    const [d1, d2] = pair.tipDiameterMm;
    const length = present.internal ? d2 : d1 / 2 + pair.centreDistanceMm + d2 / 2;
    const prices = gears.map(({ price }) => price);
    return {
      gears,
      by,
      teeth,
      profileShift,
      centreDistanceMm: pair.centreDistanceMm,
      ratio: pair.ratio,
      backlashMm: pair.backlash.circumferentialMm,
      contactRatio: pair.transverseContactRatio + pair.overlapRatio,
      undercut: pair.undercut.some(Boolean),
      price: prices.some((price) => price === null)
        ? null
        : prices.reduce<number>((sum, price) => sum + (price ?? 0), 0),
      envelopeMm: [length, Math.max(d1, d2)],
    };
  }
}

/** Gears of a range of teeth, as they would be made. */
export const gearsToMake = (like: PairGeometry, from: number, to: number): SwapGear[] =>
  Array.from({ length: Math.max(0, to - from + 1) }, (_, i) => ({
    id: `z${from + i}`,
    name: `${from + i} teeth, to be made`,
    teeth: from + i,
    moduleMm: like.moduleMm,
    pressureAngleDeg: like.pressureAngleDeg,
    helixAngleDeg: like.helixAngleDeg,
    profileShift: 0,
    price: null,
    noise: "",
    count: null,
  }));
