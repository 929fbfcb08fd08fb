import { gearPair, type PairGeometry, type SwapOption, type SwapQuestion } from "~/core/gears";

/*
 * Other gears in the place of a pair, looked for as one would by trying: every pair at every distance of a fine grid over the slot,
 * each worked out exactly (ISO 21771). It shares nothing with the search but the pair itself.
 */

type Tried = { id: string | null; teeth: number; profileShift: number; count: number | null };

/** Whether a pair stands well at a distance: backlash inside the band, tips clear, contact unbroken; `allowed` for rounding. */
export function standsAt(
  geometry: PairGeometry,
  centreDistanceMm: number,
  { lo, hi }: { lo: number; hi: number },
  allowed = 0,
) {
  const pair = gearPair({ ...geometry, centreDistanceMm });
  if (!pair.ok) return false;
  const { backlash, tipClearanceMm, transverseContactRatio } = pair.value;
  const { circumferentialMm } = backlash;
  return (
    circumferentialMm >= lo - allowed &&
    circumferentialMm <= hi + allowed &&
    tipClearanceMm.every((clearance) => clearance >= -allowed) &&
    transverseContactRatio >= 1 - allowed
  );
}

/** Keys "driver/driven" ("null" the present one) of all pairs but the present one that stand somewhere on the grid. */
export function naiveSwap({ present, band, travelMm, gears, reversed }: SwapQuestion, stepMm: number): string[] {
  const near = (a: number, b: number) => Math.abs(a - b) < 1e-6;
  const fitting: Tried[] = gears.filter(
    (gear) =>
      near(gear.moduleMm, present.moduleMm) &&
      near(gear.pressureAngleDeg, present.pressureAngleDeg) &&
      near(gear.helixAngleDeg, Math.abs(present.helixAngleDeg)) &&
      gear.count !== 0,
  );
  const stays = (member: 0 | 1): Tried => ({
    id: null,
    teeth: present.teeth[member],
    profileShift: present.profileShift[member],
    count: 1,
  });
  const found: string[] = [];
  for (const a of [stays(0), ...fitting])
    for (const b of [stays(1), ...fitting]) {
      if (a.id === b.id && (a.id === null || (a.count ?? 2) < 2)) continue;
      const [was, now] = [Math.sign(present.teeth[1] - present.teeth[0]), Math.sign(b.teeth - a.teeth)];
      if (!reversed && was * now < 0) continue;
      const geometry = {
        ...present,
        teeth: [a.teeth, b.teeth] as const,
        profileShift: [a.profileShift, b.profileShift] as const,
        tipDiameterMm: undefined,
      };
      const steps = Math.ceil((travelMm.max - travelMm.min) / stepMm);
      for (let i = 0; i <= steps; i++) {
        const centre = present.centreDistanceMm + Math.min(travelMm.max, travelMm.min + i * stepMm);
        if (!standsAt(geometry, centre, band)) continue;
        found.push(`${a.id}/${b.id}`);
        break;
      }
    }
  return found;
}

/** Of what was found, what does not stand where it is said to stand, or not within the slot. */
export const invented = ({ present, band, travelMm }: SwapQuestion, options: readonly SwapOption[]): SwapOption[] =>
  options.filter(({ teeth, profileShift, centreDistanceMm, by }) => {
    const moved = centreDistanceMm - present.centreDistanceMm;
    const geometry = { ...present, teeth, profileShift, tipDiameterMm: undefined };
    const within = moved >= travelMm.min - 1e-9 && moved <= travelMm.max + 1e-9;
    return by !== "present" && !(within && standsAt(geometry, centreDistanceMm, band, 1e-6));
  });

export const keyOf = ({ gears }: SwapOption): string => gears.map((gear) => gear?.id ?? "null").join("/");
