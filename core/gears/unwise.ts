import { comparePitches, type PitchMatch } from "./base-pitch";
import { gearBlanks, gearPair, type PairGeometry } from "./pair";
import { toothCircles } from "./tooth-circles";
import { usableContactRatio } from "./usable-contact";

/** What is known of the two parts beside their teeth; index 0 the pinion. */
export type GearParts = {
  materials?: readonly [string, string] | undefined;
  boresMm?: readonly [number | null, number | null] | undefined;
  /** Depth of a keyway or flat beyond the bore's radius. */
  keywaysMm?: readonly [number | null, number | null] | undefined;
  /** The gear's own module where it was made to another pitch. */
  gearModuleMm?: number | undefined;
};

export type Unwise =
  | { code: "undercut"; member: 0 | 1; usable: number; path: number }
  | { code: "thin-contact-ratio"; ratio: number }
  | { code: "handed-on-with-a-jerk"; ratio: number }
  | { code: "unequal-pitches"; errorPercent: number; match: PitchMatch }
  | { code: "thin-wall"; member: 0 | 1; wallMm: number; wantedMm: number }
  | { code: "teeth-jam"; backlashMm: number }
  | { code: "tip-fouls-root"; member: 0 | 1; clearanceMm: number };

/** Below this the load jumps from tooth to tooth (common practice). */
const leastContactRatio = 1.2;
/**
 * Wall under the root as a part of the tooth depth. AGMA 2001 takes strength off from 1.2 down (backup ratio, from memory), which a plain
 * small pinion on its shaft always has; below one tooth depth the rim breaks before the tooth.
 */
const leastBackupRatio = 1;

/** What rounding alone makes, mm. */
const dust = 1e-9;
/** A loss of contact that shows in two decimals. */
const seen = 0.005;

/** What is said of a contact ratio over flanks that are there, with the overlap: null where it is enough. One place for pair, swap and stage. */
export function unwiseContact(
  ratio: number,
): Extract<Unwise, { code: "thin-contact-ratio" | "handed-on-with-a-jerk" }> | null {
  if (ratio < 1) return { code: "handed-on-with-a-jerk", ratio };
  return ratio < leastContactRatio ? { code: "thin-contact-ratio", ratio } : null;
}

/**
 * What is unwise in a pair that has a geometry: to be said and recorded, never refused.
 *
 * @returns none for a pair that `gearPair` refuses
 */
export function unwiseIn(pair: PairGeometry, parts: GearParts = {}): Unwise[] {
  const mesh = gearPair(pair);
  if (!mesh.ok) return [];
  const { undercut, transverseContactRatio, overlapRatio, backlash, tipClearanceMm } = mesh.value;
  const members = [0, 1] as const;
  const found: Unwise[] = [];
  const usable = usableContactRatio(pair, mesh.value) + overlapRatio;
  const path = transverseContactRatio + overlapRatio;
  const thin = unwiseContact(usable);
  // An undercut is told where it costs the contact that a pair needs: a plain pinion of 14 teeth is no alarm.
  if (thin && usable < path - seen)
    for (const member of members) if (undercut[member]) found.push({ code: "undercut", member, usable, path });
  if (thin) found.push(thin);
  if (parts.gearModuleMm !== undefined) {
    const { errorPercent, match } = comparePitches(pair, { ...pair, moduleMm: parts.gearModuleMm });
    if (match !== "same") found.push({ code: "unequal-pitches", errorPercent, match });
  }
  const blanks = gearBlanks(pair);
  for (const member of members) {
    const bore = parts.boresMm?.[member];
    if (bore === null || bore === undefined || blanks[member].ring) continue;
    const { rootDiameterMm, tipDiameterMm } = toothCircles(blanks[member]);
    const wallMm = (rootDiameterMm - bore) / 2 - (parts.keywaysMm?.[member] ?? 0);
    const wantedMm = (leastBackupRatio * (tipDiameterMm - rootDiameterMm)) / 2;
    if (wallMm < wantedMm) found.push({ code: "thin-wall", member, wallMm, wantedMm });
  }
  if (backlash.circumferentialMm < -dust) found.push({ code: "teeth-jam", backlashMm: backlash.circumferentialMm });
  for (const member of members) {
    const clearanceMm = tipClearanceMm[member];
    if (clearanceMm < -dust) found.push({ code: "tip-fouls-root", member, clearanceMm });
  }
  return found;
}
