import { atLeast, same } from "../numerics";
import { accept, type Result } from "../quantity";

/** A pulley that drives a toothed belt, and the belt on it. */
export type WidthPlace = {
  pitchDiameterMm: number;
  teethInMesh: number;
  allowableNPerMm: number;
};

export type WidthQuestion = WidthPlace & {
  torqueNm: number;
  serviceFactor: number;
  /** Widths that are to be had. */
  stockMm?: readonly number[] | undefined;
  /** A second belt, behind a reduction of the first. */
  behind?: (WidthPlace & { ratio: number; efficiency: number }) | undefined;
};

export type PlacedWidth = {
  pullN: number;
  /** What is left of the rating with so few teeth in mesh. */
  meshFactor: number;
  widthMm: number;
  /** The least that is wide enough; null where none is. */
  stockMm?: number | null;
  /** How much of it is used; where none is wide enough, of the widest. */
  sharePercent?: number;
};

export type BeltWidth = PlacedWidth & { behind?: PlacedWidth; feasible: boolean };

/** From six teeth in mesh on a belt carries all it is rated for; each tooth less takes a fifth off (common practice). */
const fullMesh = 6;
const lossPerTooth = 0.2;

const leastMesh = 2;

const factorOf = (teethInMesh: number): number =>
  Math.min(1, 1 - lossPerTooth * (fullMesh - Math.floor(teethInMesh + same)));

/** What is left of a belt's rating with so many teeth in mesh; null below two. */
export const meshFactorOf = (teethInMesh: number): number | null =>
  teethInMesh < leastMesh ? null : factorOf(teethInMesh);

/**
 * How wide a toothed belt has to be at its place in the train: behind a reduction the torque has grown, and the belt with it. Width counts
 * in proportion to the pull, which lies on the safe side upwards from a narrow reference.
 *
 * @param teethInMesh 2 or more; a tooth that is only partly in counts as out
 * @returns width, and of the stock the least that is wide enough
 * @example 1.5 N·m on 18 teeth of 5 mm, 14 N/mm: 7.48 wide, take 9; behind 6 : 1 on 36 teeth 22.44, take 25
 * @source general statics; teeth in mesh: common practice
 */
export function beltWidth({ torqueNm, serviceFactor, stockMm, behind, ...first }: WidthQuestion): Result<BeltWidth> {
  const at = (place: WidthPlace, torque: number): PlacedWidth => {
    const pullN = (2000 * torque) / place.pitchDiameterMm;
    const meshFactor = factorOf(place.teethInMesh);
    const widthMm = (pullN * serviceFactor) / (place.allowableNPerMm * meshFactor);
    return { pullN, meshFactor, widthMm, ...fromStock(widthMm, stockMm) };
  };
  const here = at(first, torqueNm);
  const there = behind && at(behind, torqueNm * behind.ratio * behind.efficiency);
  return accept({
    ...here,
    ...(there && { behind: there }),
    feasible: here.stockMm !== null && there?.stockMm !== null,
  });
}

function fromStock(
  widthMm: number,
  stock: readonly number[] | undefined,
): Pick<PlacedWidth, "stockMm" | "sharePercent"> {
  if (!stock) return {};
  const enough = stock.filter((width) => atLeast(width, widthMm));
  const least = enough.length > 0 ? Math.min(...enough) : null;
  return { stockMm: least, sharePercent: (100 * widthMm) / (least ?? Math.max(...stock)) };
}
