/** A drive as pitch lines: circles of circumference z·p (calc contract). With the true pitch circles the length differs by < 1e-4 links. */
export type ChainGeometry = { pitchMm: number; teeth: readonly [number, number] };

/** The least centre distance at which the pitch lines do not overlap. */
export const leastCentre = ({ pitchMm, teeth }: ChainGeometry): number =>
  (pitchMm * (teeth[0] + teeth[1])) / (2 * Math.PI);

/** φ, radians. */
export const inclination = ({ pitchMm, teeth }: ChainGeometry, centreDistanceMm: number): number =>
  Math.asin((pitchMm * (teeth[1] - teeth[0])) / (2 * Math.PI * centreDistanceMm));

/** X = 2C·cos φ/p + (z1 + z2)/2 + (z2 − z1)·φ/π, real. */
export function linksAt(chain: ChainGeometry, centreDistanceMm: number): number {
  const { pitchMm, teeth } = chain;
  const phi = inclination(chain, centreDistanceMm);
  const spans = (2 * centreDistanceMm * Math.cos(phi)) / pitchMm;
  return spans + (teeth[0] + teeth[1]) / 2 + ((teeth[1] - teeth[0]) * phi) / Math.PI;
}

/**
 * The centre distance of a number of links, by Newton from above (X is convex in C, slope 2·cos φ/p).
 *
 * @returns null for too few: the pitch lines would overlap
 */
export function centreOfLinks(chain: ChainGeometry, links: number): number | null {
  const least = leastCentre(chain);
  if (links < linksAt(chain, least) * (1 - 1e-12)) return null;
  const { pitchMm, teeth } = chain;
  let centre = Math.max(least, (pitchMm * (links - (teeth[0] + teeth[1]) / 2)) / 2);
  for (let i = 0; i < 100; i++) {
    const slope = (2 * Math.cos(inclination(chain, centre))) / pitchMm;
    const step = (linksAt(chain, centre) - links) / slope;
    centre = Math.max(least, centre - step);
    if (Math.abs(step) <= 1e-15 * centre) break;
  }
  return centre;
}
