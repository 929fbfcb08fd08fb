import { radians } from "../numerics";
import { accept, type Result, refuse } from "../quantity";
import { backlashLaw } from "./backlash-law";
import { type GearPair, gearPair, type PairGeometry } from "./pair";
import { type SettingMiss, settingFor, settingInterval } from "./setting-interval";
import { toothCircles } from "./tooth-circles";
import { usableContactRatio } from "./usable-contact";

/** A gear to choose from; what is left out is the present one's. */
export type OfferedGear = {
  id: string;
  teeth: number;
  moduleMm: number;
  pressureAngleDeg?: number | undefined;
  /** Size alone; the partner's hand is taken to fit. */
  helixAngleDeg?: number | undefined;
  boreMm?: number | undefined;
  shift: number;
  thinningMm: number;
  count: number;
};

export type SwapPairsQuestion = {
  /** As installed. */
  present: PairGeometry & { centreDistanceMm: number };
  /** How far the slot lets the centres go from where they are. */
  travel: { partMm: number; closeMm: number };
  /** Circumferential backlash. */
  limits: { loMm: number; aimMm?: number | undefined; hiMm: number };
  gears: readonly OfferedGear[];
  /** Whether somebody offered gears at all, though it be an empty drawer. */
  offered: boolean;
  /** Counts that could be made, unshifted, as many as wanted. */
  newTeeth?: { from: number; to: number } | undefined;
  driverBoreMm?: number | undefined;
  drivenBoreMm?: number | undefined;
  /** Also those that turn a reduction into a step up, or the reverse. */
  reversed: boolean;
  minContactRatio: number;
  maxRejected: number;
};

export type SwapPair = {
  driver: string;
  driven: string;
  teeth: [number, number];
  centreDistanceMm: number;
  /** Positive: apart. */
  moveMm: number;
  backlashMm: number;
  ratio: number;
  speedPercent: number;
  torquePercent: number;
  contactRatio: number;
  usableContactRatio: number;
  fits: boolean;
};

export type RejectedGear = { id: string; reason: "module" | "pressure-angle" | "helix" | "bore" | "count" };
export type RejectedPair = { driver: string; driven: string; reason: "count" | SettingMiss["reason"]; byMm?: number };

export type SwapPairs = {
  feasible: boolean;
  pairs: SwapPair[];
  rejectedGears: RejectedGear[];
  rejectedPairs: RejectedPair[];
  rejectedCount: number;
};

/** One of a place's candidates, in the order present, offered, new. */
type Candidate = {
  id: string;
  teeth: number;
  shift: number;
  thinningMm: number;
  tipDiameterMm: number | undefined;
  count: number;
  order: number;
  /** Over tips and roots, halved. */
  tipMm: number;
  rootMm: number;
};

export const presentDriver = "present-driver";
export const presentDriven = "present-driven";
const newId = (teeth: number) => `new-${teeth}`;

/**
 * Every pair of gears that can stand in the place of an external one: each of the present two may stay while the other is changed. A pair
 * fits where some centre distance within the slot has its backlash inside the limits, tips clear of roots and enough contact; it is
 * set where it stands, if that will do, else as near to the aim as it can. Nearest to the present ratio first, then the least move.
 * What the usable contact says is shown, never required (handbook of ratios).
 *
 * @returns the pairs, the present one first and as it stands; or a refusal of `gearPair` below present, `internal-pair` at
 *   present.internal, `nothing-to-choose-from` at gears, `id-taken` at gears.i.id
 * @example 18/72, module 0.5, at 22.6, limits 0.03 to 0.10, slot 0.55 apart, pinion of 19 // set to 22.8376913, speed + 5.5556 %
 */
export function swapPairs(
  question: SwapPairsQuestion,
  progress: (share: number) => void = () => {},
): Result<SwapPairs> {
  if (question.present.internal) return refuse("internal-pair", ["present", "internal"]);
  return pairsInPlace(question, progress);
}

/** The same, inside a ring too: there the centres part into the mesh. */
export function pairsInPlace(
  question: SwapPairsQuestion,
  progress: (share: number) => void = () => {},
): Result<SwapPairs> {
  const { present, gears, newTeeth, limits, travel } = question;
  const here = gearPair(present);
  if (!here.ok) return refuse(here.refusal.code, ["present", ...here.refusal.path], here.refusal.facts);
  if (!question.offered && !newTeeth) return refuse("nothing-to-choose-from", ["gears"]);
  const taken = new Set([presentDriver, presentDriven, ...newCounts(newTeeth).map(newId)]);
  for (const [i, { id }] of gears.entries()) {
    if (taken.has(id)) return refuse("id-taken", ["gears", i, "id"], { id });
    taken.add(id);
  }

  const rejectedGears: RejectedGear[] = [];
  const [drivers, driven] = candidatesOf(question, rejectedGears);
  const reach = [present.centreDistanceMm - travel.closeMm, present.centreDistanceMm + travel.partMm] as const;
  const wishes = { backlash: { lo: limits.loMm, hi: limits.hiMm }, minContactRatio: question.minContactRatio };
  const aim = Math.min(limits.hiMm, Math.max(limits.loMm, limits.aimMm ?? (limits.loMm + limits.hiMm) / 2));
  const rows: Ranked<SwapPair>[] = [];
  const rejected: Ranked<() => RejectedPair>[] = [];
  for (const [i, first] of drivers.entries()) {
    progress(i / drivers.length);
    for (const second of driven) {
      const ratio = second.teeth / first.teeth;
      const stands = first.id === presentDriver && second.id === presentDriven;
      if (!question.reversed && !stands && turnsRound(here.value.ratio, ratio)) continue;
      const rank = { off: Math.abs(Math.log(ratio / here.value.ratio)), order: [first.order, second.order] as const };
      const names = { driver: first.id, driven: second.id };
      if (first.id === second.id && first.count < 2) {
        rejected.push({ ...rank, row: () => ({ ...names, reason: "count" }) });
        continue;
      }
      const geometry = pairOf(present, first, second);
      const within = stands ? ([present.centreDistanceMm, present.centreDistanceMm] as const) : reach;
      const exactly = () => settingInterval(geometry, within, wishes);
      const interval = !stands && farOff(question, first, second) ? null : exactly();
      if (!stands && (interval === null || "miss" in interval)) {
        const missOf = () => {
          const found = interval ?? exactly();
          return "miss" in found ? found.miss : { reason: "contact-ratio" as const };
        };
        rejected.push({ ...rank, row: () => ({ ...names, ...missOf() }) });
        continue;
      }
      if (interval === null) continue;
      const centre =
        "miss" in interval ? present.centreDistanceMm : settled(geometry, present.centreDistanceMm, interval, aim);
      rows.push({
        ...rank,
        row: rowOf(names, geometry, centre, here.value, present.centreDistanceMm, !("miss" in interval)),
      });
    }
  }
  rows.sort((a, b) => ranked(a, b, Math.abs(a.row.moveMm) - Math.abs(b.row.moveMm)));
  rejected.sort((a, b) => ranked(a, b, 0));
  const pairs = rows.map(({ row }) => row);
  return accept({
    feasible: pairs.some(({ fits, driver, driven }) => fits && !(driver === presentDriver && driven === presentDriven)),
    pairs,
    rejectedGears,
    rejectedPairs: rejected.slice(0, question.maxRejected).map(({ row }) => row()),
    rejectedCount: rejected.length,
  });
}

type Ranked<T> = { off: number; order: readonly [number, number]; row: T };

const same = 1e-9;
const ranked = (a: Ranked<unknown>, b: Ranked<unknown>, move: number): number => {
  if (Math.abs(a.off - b.off) > same) return a.off - b.off;
  if (Math.abs(move) > same) return move;
  return a.order[0] - b.order[0] || a.order[1] - b.order[1];
};

/** Where it stands, if that will do; else as near to the aim as it can. */
const settled = (geometry: PairGeometry, now: number, interval: { from: number; to: number }, aim: number): number =>
  now >= interval.from - same && now <= interval.to + same ? now : settingFor(backlashLaw(geometry), aim, interval);

/** A reduction into a step up or the reverse; 1:1 is neither. */
export const turnsRound = (present: number, ratio: number): boolean =>
  (present > 1 && ratio < 1) || (present < 1 && ratio > 1);

/**
 * Whether no distance within reach has the tips clear of the roots and in touch with the other's tips: which tells of most pairs, at next to no
 * cost, that they do not go. Exact figures are worked out for the few that are told.
 */
function farOff({ present, travel, minContactRatio }: SwapPairsQuestion, first: Candidate, second: Candidate): boolean {
  if (present.internal || minContactRatio <= 0) return false;
  const [closest, furthest] = [present.centreDistanceMm - travel.closeMm, present.centreDistanceMm + travel.partMm];
  const clear = Math.max(first.tipMm + second.rootMm, first.rootMm + second.tipMm);
  return furthest < clear - 1e-6 || closest > first.tipMm + second.tipMm;
}

const newCounts = (range: SwapPairsQuestion["newTeeth"]): number[] =>
  range ? Array.from({ length: range.to - range.from + 1 }, (_, i) => range.from + i) : [];

/** The candidates of both places; gears that fit neither are told with the first reason. */
function candidatesOf(question: SwapPairsQuestion, rejected: RejectedGear[]): [Candidate[], Candidate[]] {
  const { present, gears, newTeeth, driverBoreMm, drivenBoreMm } = question;
  const places: [Candidate[], Candidate[]] = [[stays(present, 0)], [stays(present, 1)]];
  for (const [i, gear] of gears.entries()) {
    const on = [driverBoreMm, drivenBoreMm].map((shaft) => goesOn(gear.boreMm, shaft));
    const reason = whyNot(present, gear, on.some(Boolean));
    if (reason) {
      rejected.push({ id: gear.id, reason });
      continue;
    }
    const candidate = { ...gear, tipDiameterMm: undefined, order: 1 + i };
    if (on[0]) places[0].push({ ...candidate, ...sizes(present, candidate, 0) });
    if (on[1]) places[1].push({ ...candidate, ...sizes(present, candidate, 1) });
  }
  for (const [i, teeth] of newCounts(newTeeth).entries()) {
    const made = { id: newId(teeth), teeth, shift: 0, thinningMm: 0, tipDiameterMm: undefined, count: 2 };
    for (const member of [0, 1] as const)
      places[member].push({ ...made, order: 1 + gears.length + i, ...sizes(present, made, member) });
  }
  return places;
}

function stays(present: PairGeometry, member: 0 | 1): Candidate {
  const gear = {
    id: member === 0 ? presentDriver : presentDriven,
    teeth: present.teeth[member],
    shift: present.profileShift[member],
    thinningMm: present.thinningMm[member],
    tipDiameterMm: present.tipDiameterMm?.[member],
  };
  return { ...gear, count: 1, order: 0, ...sizes(present, gear, member) };
}

/** Radii over tips and roots of a gear in one of the two places. */
function sizes(
  present: PairGeometry,
  gear: Pick<Candidate, "teeth" | "shift" | "thinningMm" | "tipDiameterMm">,
  member: 0 | 1,
): Pick<Candidate, "tipMm" | "rootMm"> {
  const { tipDiameterMm, rootDiameterMm } = toothCircles({
    ...present,
    teeth: gear.teeth,
    profileShift: gear.shift,
    thinningMm: gear.thinningMm,
    ring: present.internal && member === 1,
    tipDiameterMm: gear.tipDiameterMm,
  });
  return { tipMm: tipDiameterMm / 2, rootMm: rootDiameterMm / 2 };
}

/** Bores come within a hundredth of their shaft's; where one of both is not known nothing speaks against it. */
const goesOn = (bore: number | undefined, shaft: number | undefined): boolean =>
  bore === undefined || shaft === undefined || Math.abs(bore - shaft) <= 0.01 + same;

function whyNot(present: PairGeometry, gear: OfferedGear, fitsAShaft: boolean): RejectedGear["reason"] | null {
  const like = (a: number, b: number) => Math.abs(a - b) <= 1e-6 * Math.max(Math.abs(a), Math.abs(b));
  if (!like(gear.moduleMm, present.moduleMm)) return "module";
  if (!like(gear.pressureAngleDeg ?? present.pressureAngleDeg, present.pressureAngleDeg)) return "pressure-angle";
  if (!like(Math.abs(gear.helixAngleDeg ?? present.helixAngleDeg), Math.abs(present.helixAngleDeg))) return "helix";
  if (!fitsAShaft) return "bore";
  return gear.count === 0 ? "count" : null;
}

/** Two gears as a pair; one whose tips are as usual keeps those of its own teeth. */
function pairOf(present: PairGeometry, first: Candidate, second: Candidate): PairGeometry {
  const transverse = present.moduleMm / Math.cos(radians(present.helixAngleDeg));
  const tip = ({ teeth, shift, tipDiameterMm }: Candidate, out: 1 | -1) =>
    tipDiameterMm ?? teeth * transverse + out * 2 * present.moduleMm * (1 + shift);
  return {
    ...present,
    teeth: [first.teeth, second.teeth],
    profileShift: [first.shift, second.shift],
    thinningMm: [first.thinningMm, second.thinningMm],
    tipDiameterMm: [tip(first, 1), tip(second, present.internal ? -1 : 1)],
  };
}

function rowOf(
  names: { driver: string; driven: string },
  geometry: PairGeometry,
  centreDistanceMm: number,
  present: GearPair,
  now: number,
  fits: boolean,
): SwapPair {
  const pair = contactAt(geometry, centreDistanceMm);
  const ratio = geometry.teeth[1] / geometry.teeth[0];
  return {
    ...names,
    teeth: [...geometry.teeth],
    centreDistanceMm,
    moveMm: centreDistanceMm - now,
    ...pair,
    ratio,
    speedPercent: 100 * (present.ratio / ratio - 1),
    torquePercent: 100 * (ratio / present.ratio - 1),
    fits,
  };
}

/** Backlash and contact at a distance, of teeth that may have no distance free of backlash. */
function contactAt(
  geometry: PairGeometry,
  centreDistanceMm: number,
): Pick<SwapPair, "backlashMm" | "contactRatio" | "usableContactRatio"> {
  const { circles, sign, touchMm, at } = backlashLaw(geometry);
  const workingAngle = Math.acos(Math.min(1, touchMm / centreDistanceMm));
  const [r1, r2] = circles.map((c) => Math.sqrt(Math.max(0, (c.tipDiameterMm ** 2 - c.baseDiameterMm ** 2) / 4)));
  const path = (r1 ?? 0) + sign * ((r2 ?? 0) - centreDistanceMm * Math.sin(workingAngle));
  return {
    backlashMm: at(centreDistanceMm),
    contactRatio: path / (Math.PI * circles[0].transverseModuleMm * Math.cos(circles[0].transverseAngle)),
    usableContactRatio: usableContactRatio(geometry, {
      centreDistanceMm,
      workingPressureAngleDeg: (workingAngle * 180) / Math.PI,
    }),
  };
}
