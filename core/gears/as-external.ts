/** What is measured on a ring with inside teeth: inside its tips, and over its roots. */
export type MeasuredRing = { toothCount: number; tipDiameterMm: number; rootDiameterMm?: number | undefined };

/**
 * A ring with inside teeth as the external gear of the same pitch and count, so that both are identified by one rule: its tips stand at
 * m(z − 2) and its roots at m(z + 2.5) (ISO 53 proportions), where those of an external gear stand at m(z + 2) and m(z − 2.5).
 */
export function ringAsExternal({ toothCount: z, tipDiameterMm, rootDiameterMm }: MeasuredRing): MeasuredRing {
  return {
    toothCount: z,
    tipDiameterMm: (tipDiameterMm * (z + 2)) / (z - 2),
    ...(rootDiameterMm === undefined ? {} : { rootDiameterMm: (rootDiameterMm * (z - 2.5)) / (z + 2.5) }),
  };
}

/**
 * A rack, measured over so many pitches along its line, as an external gear: m = p/π. It has as many teeth as make a reading of its tips tell
 * two pitches apart as well as that length does, π·n less two.
 *
 * @param pitches whole tooth pitches between the two measured flanks, 2 or more
 */
export function rackAsExternal(pitches: number, mm: number): MeasuredRing {
  const moduleMm = mm / (Math.PI * pitches);
  const toothCount = Math.max(3, Math.round(Math.PI * pitches - 2));
  return { toothCount, tipDiameterMm: moduleMm * (toothCount + 2) };
}
