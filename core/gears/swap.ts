import { bisect, radians } from "../numerics";
import { backlashLaw } from "./backlash-law";
import { overlapRatio, type PairGeometry } from "./pair";
import { settingInterval } from "./setting-interval";
import {
  pairsInPlace,
  presentDriven,
  presentDriver,
  type RejectedGear,
  type RejectedPair,
  type SwapPair,
  turnsRound,
} from "./swap-pairs";
import { toothCircles } from "./tooth-circles";

export type SwapGear = {
  id: string;
  name: string;
  teeth: number;
  moduleMm: number;
  pressureAngleDeg: number;
  /** Size alone; the partner's hand is taken to fit. */
  helixAngleDeg: number;
  profileShift: number;
  /** null: nobody noted it, and nothing speaks against it. */
  boreMm: number | null;
  price: number | null;
  /** As somebody noted it. */
  noise: string;
  /** How many there are; null: it would be made, and may be shifted. */
  count: number | null;
};

export type SwapQuestion = {
  /** With the centre distance at which it is installed. */
  present: PairGeometry & { centreDistanceMm: number };
  /** Bores of the present two; null where not known. */
  boresMm: readonly [number | null, number | null];
  /** Circumferential backlash that is wanted, mm. */
  band: { lo: number; aim?: number | undefined; hi: number };
  /** By how much the slot lets the centres go from where they are, mm. */
  travelMm: { min: number; max: number };
  gears: readonly SwapGear[];
  /** Also those that turn a reduction into a step up, or the reverse. */
  reversed: boolean;
};

/** "present": as it stands now; "stands": where it stands; "travel": the slot is moved; "shift": gears that are made are shifted for it. */
export type SwapBy = "present" | "stands" | "travel" | "shift";

export type SwapOption = Omit<SwapPair, "driver" | "driven"> & {
  by: SwapBy;
  /** null: the present one stays. */
  gears: readonly [SwapGear | null, SwapGear | null];
  profileShift: readonly [number, number];
  /** Transverse and overlap, over tips and over flanks that are there. */
  totalRatio: number;
  usableRatio: number;
  /** Of the gears that are new; null where one of them has none. */
  price: number | null;
  /** Over both tip circles along the line of centres, and across it, mm. */
  envelopeMm: readonly [number, number];
};

export type SwapAnswer = {
  /** The present pair first, as it stands; then nearest to its ratio first. */
  options: SwapOption[];
  /** Gears that fit neither place, with the first reason. */
  rejectedGears: RejectedGear[];
  /** The nearest of the pairs that do not go, with the first reason. */
  nearest: (RejectedPair & { teeth: readonly [number, number] })[];
};

/** Shifts beyond this leave pointed or undercut teeth on common counts (common practice). */
const mostShift = 0.6;
const mostNearest = 5;

/**
 * Every pair of gears that can stand in the place of a pair, as `swapPairs` finds them, inside a ring too; and of gears that are made, those
 * whose larger one is shifted for it where nothing else helps.
 *
 * @param progress told the share of the gears that are done, 0 to 1
 */
export function swapOptions(question: SwapQuestion, progress: (share: number) => void = () => {}): SwapAnswer {
  const { present, band, travelMm, gears, boresMm } = question;
  const found = pairsInPlace(
    {
      present,
      travel: { partMm: travelMm.max, closeMm: -travelMm.min },
      limits: { loMm: Math.max(0, band.lo), aimMm: band.aim, hiMm: band.hi },
      gears: gears.map((gear) => ({
        ...gear,
        boreMm: gear.boreMm ?? undefined,
        shift: gear.profileShift,
        thinningMm: 0,
        count: gear.count ?? 2,
      })),
      offered: true,
      driverBoreMm: boresMm[0] ?? undefined,
      drivenBoreMm: boresMm[1] ?? undefined,
      reversed: question.reversed,
      minContactRatio: 1,
      maxRejected: mostNearest,
    },
    progress,
  );
  if (!found.ok) return { options: [], rejectedGears: [], nearest: [] };
  const named = new Map(gears.map((gear) => [gear.id, gear]));
  const dress = (row: SwapPair, by: SwapBy, shift: readonly [number, number]) =>
    dressed(question, named, row, by, shift);
  const shiftsOf = (row: { driver: string; driven: string }) =>
    [
      named.get(row.driver)?.profileShift ?? present.profileShift[0],
      named.get(row.driven)?.profileShift ?? present.profileShift[1],
    ] as const;
  const options = found.value.pairs.map((row) => {
    const stays = row.driver === presentDriver && row.driven === presentDriven;
    const by = stays ? "present" : Math.abs(row.moveMm) < 1e-9 ? "stands" : "travel";
    return dress(row, by, shiftsOf(row));
  });
  const now = present.teeth[1] / present.teeth[0];
  // What would be made of the present count is the present one again.
  const again = ({ gears: pair }: SwapOption) =>
    pair.some((gear, i) => gear?.count === null && gear.teeth === present.teeth[i as 0 | 1]);
  const fits = new Set(options.map(({ gears: [one, two] }) => `${one?.id} ${two?.id}`));
  const made = gears.filter(({ count }) => count === null);
  for (const one of made)
    for (const two of made) {
      if (fits.has(`${one.id} ${two.id}`) || (!question.reversed && turnsRound(now, two.teeth / one.teeth))) continue;
      const pair = shifted(question, one, two);
      if (pair) options.push(dress(pair.row, "shift", pair.shift));
    }
  const off = ({ ratio }: SwapOption) => Math.abs(Math.log(ratio / now));
  const teethOf = (id: string, member: 0 | 1) => named.get(id)?.teeth ?? present.teeth[member];
  return {
    // Sorted stably: what is shifted stands behind what needs nothing.
    options: [
      ...options.slice(0, 1),
      ...options
        .slice(1)
        .filter((option) => option.by === "shift" || !again(option))
        .sort((a, b) => off(a) - off(b)),
    ],
    rejectedGears: found.value.rejectedGears,
    nearest: found.value.rejectedPairs.map((pair) => ({
      ...pair,
      teeth: [teethOf(pair.driver, 0), teethOf(pair.driven, 1)] as const,
    })),
  };
}

const radiusOf = ({ moduleMm, helixAngleDeg }: PairGeometry, { teeth }: SwapGear): number =>
  (teeth * moduleMm) / Math.cos(radians(helixAngleDeg)) / 2;

/** A pair of gears to be made, the larger shifted until it meets the aim where the centres stand; null where no usual shift does. */
function shifted(
  { present, band }: SwapQuestion,
  one: SwapGear,
  two: SwapGear,
): { row: SwapPair; shift: readonly [number, number] } | null {
  // A shift of so many modules makes up for about so many modules of centres (its curve takes a little off).
  const off = radiusOf(present, one) * (present.internal ? -1 : 1) + radiusOf(present, two) - present.centreDistanceMm;
  if (Math.abs(off) > (mostShift + 0.5) * present.moduleMm + band.hi * 2) return null;
  const larger = two.teeth >= one.teeth ? 1 : 0;
  const aim = Math.min(band.hi, Math.max(band.lo, band.aim ?? (band.lo + band.hi) / 2));
  const centre = present.centreDistanceMm;
  const pairOf = (x: number): PairGeometry => ({
    ...present,
    teeth: [one.teeth, two.teeth],
    profileShift: larger === 1 ? [0, x] : [x, 0],
    thinningMm: [0, 0],
    tipDiameterMm: undefined,
  });
  const over = (x: number) => {
    const law = backlashLaw(pairOf(x));
    return law.touchMm > centre ? Number.NaN : law.at(centre) - aim;
  };
  if (!(over(-mostShift) * over(mostShift) <= 0)) return null;
  const x = bisect(over, -mostShift, mostShift);
  const shift = larger === 1 ? ([0, x] as const) : ([x, 0] as const);
  const found = pairsInPlace({
    present: { ...pairOf(x), centreDistanceMm: centre },
    travel: { partMm: 0, closeMm: 0 },
    limits: { loMm: Math.max(0, band.lo), aimMm: aim, hiMm: band.hi },
    gears: [],
    offered: true,
    reversed: true,
    minContactRatio: 1,
    maxRejected: 0,
  });
  const row = found.ok ? found.value.pairs[0] : undefined;
  const stands = settingInterval(pairOf(x), [centre, centre], { backlash: band, minContactRatio: 1 });
  if (!row || "miss" in stands) return null;
  const ratio = present.teeth[1] / present.teeth[0];
  const speedPercent = 100 * (ratio / row.ratio - 1);
  const torquePercent = 100 * (row.ratio / ratio - 1);
  return { row: { ...row, driver: one.id, driven: two.id, speedPercent, torquePercent, fits: true }, shift };
}

function dressed(
  { present }: SwapQuestion,
  named: ReadonlyMap<string, SwapGear>,
  { driver, driven, ...row }: SwapPair,
  by: SwapBy,
  profileShift: readonly [number, number],
): SwapOption {
  const gears = [named.get(driver) ?? null, named.get(driven) ?? null] as const;
  const tip = (member: 0 | 1) =>
    (gears[member] === null ? present.tipDiameterMm?.[member] : undefined) ??
    toothCircles({
      ...present,
      teeth: row.teeth[member],
      profileShift: profileShift[member],
      thinningMm: 0,
      ring: present.internal && member === 1,
      tipDiameterMm: undefined,
    }).tipDiameterMm;
  const [d1, d2] = [tip(0), tip(1)];
  const overlap = overlapRatio(present);
  const prices = gears.flatMap((gear) => (gear ? [gear.price] : []));
  return {
    ...row,
    by,
    gears,
    profileShift,
    totalRatio: row.contactRatio + overlap,
    usableRatio: row.usableContactRatio + overlap,
    price: prices.some((price) => price === null) ? null : prices.reduce<number>((sum, price) => sum + (price ?? 0), 0),
    envelopeMm: [present.internal ? d2 : d1 / 2 + row.centreDistanceMm + d2 / 2, Math.max(d1, d2)],
  };
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
    boreMm: null,
    price: null,
    noise: "",
    count: null,
  }));
