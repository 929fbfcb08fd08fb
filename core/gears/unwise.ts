import { comparePitches, type PitchMatch } from "./base-pitch";
import { gearBlanks, gearPair, type PairGeometry } from "./pair";
import { toothCircles } from "./tooth-circles";

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
  | { code: "undercut"; member: 0 | 1 }
  | { code: "thin-contact-ratio"; ratio: number }
  | { code: "unequal-pitches"; errorPercent: number; match: PitchMatch }
  | { code: "thin-wall"; member: 0 | 1; wallMm: number; wantedMm: number }
  | { code: "teeth-jam"; backlashMm: number }
  | { code: "tip-fouls-root"; member: 0 | 1; clearanceMm: number };

/** Below this the load jumps from tooth to tooth (common practice). */
const leastContactRatio = 1.2;
/** Wall under the root as a part of the tooth depth; below it the rim, not the tooth, breaks (backup ratio, AGMA 2001, from memory). */
const leastBackupRatio = 1.2;

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
  const found: Unwise[] = members.filter((i) => undercut[i]).map((member) => ({ code: "undercut", member }));
  const ratio = transverseContactRatio + overlapRatio;
  if (ratio < leastContactRatio) found.push({ code: "thin-contact-ratio", ratio });
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
  if (backlash.circumferentialMm < 0) found.push({ code: "teeth-jam", backlashMm: backlash.circumferentialMm });
  for (const member of members) {
    const clearanceMm = tipClearanceMm[member];
    if (clearanceMm < 0) found.push({ code: "tip-fouls-root", member, clearanceMm });
  }
  return found;
}
