import { accept, type Result, refuse } from "../quantity";
import { type ChainGeometry, centreOfLinks, inclination, leastCentre, linksAt } from "./pitch-lines";

export type ChainDrive = {
  feasible: boolean;
  pitchDiameterMm: [number, number];
  /** Exact, real. */
  links: number;
  linksEven: number;
  centreDistanceMm?: number;
  centreForEvenMm: number;
  spanMm?: number;
  chordalSpeedVariationPercent: [number, number];
  ratio: number;
};

/**
 * A two-sprocket chain drive by its links or its centre distance. An odd number of links needs a cranked one, about a fifth weaker
 * (common practice), so the next even number is told with its centre distance. Too few links are an answer, with the shortest
 * even chain that goes.
 *
 * @returns the drive, or `circles-overlap` at centreDistanceMm (facts: leastMm)
 * @example chainDrive({ pitchMm: 12.7, teeth: [17, 51] }, { links: 100 }) // centreDistanceMm 413.374153
 */
export function chainDrive(
  chain: ChainGeometry,
  size: { links: number } | { centreDistanceMm: number },
): Result<ChainDrive> {
  const { pitchMm, teeth } = chain;
  const least = leastCentre(chain);
  if ("centreDistanceMm" in size && size.centreDistanceMm < least)
    return refuse("circles-overlap", ["centreDistanceMm"], { leastMm: least });
  const links = "links" in size ? size.links : linksAt(chain, size.centreDistanceMm);
  const centre = "links" in size ? centreOfLinks(chain, links) : size.centreDistanceMm;
  const linksEven = nextEven(centre === null ? linksAt(chain, least) : links);
  const all = {
    pitchDiameterMm: [pitchMm / Math.sin(Math.PI / teeth[0]), pitchMm / Math.sin(Math.PI / teeth[1])] as [
      number,
      number,
    ],
    links,
    linksEven,
    centreForEvenMm: centreOfLinks(chain, linksEven) ?? least,
    // (v_max − v_min)/v_max; the other school divides by the mean.
    chordalSpeedVariationPercent: teeth.map((z) => 100 * (1 - Math.cos(Math.PI / z))) as [number, number],
    ratio: teeth[1] / teeth[0],
  };
  if (centre === null) return accept({ feasible: false, ...all });
  return accept({
    feasible: true,
    ...all,
    centreDistanceMm: centre,
    spanMm: centre * Math.cos(inclination(chain, centre)),
  });
}

/** The even whole number at or above; what is whole but for rounding counts as whole. */
const nextEven = (links: number): number => 2 * Math.ceil(links / 2 - 1e-9);
