import { bevelPair } from "../bevels";
import type { StrandShape } from "../chains";
import { gearPair } from "../gears";
import { wormPair } from "../worms";
import { type BeltElement, type ChainElement, isBelt, type StageElement } from "./element";
import { pathPull, stagePath } from "./path";
import { judgedBy, type MeasuredQuantity } from "./quantities";

/**
 * Change of the judged quantity per mm of "centre distance" as the stage's adjuster means it (README), now.
 *
 * A belt's stiffness is seldom known; where it is not, it is taken as if the aim stretched the belt by a fifth of a per cent (common
 * practice), which the first moves then put right. Sag goes as the root of the slack: the slope is that at the mean of the
 * round, as `advise` wants it for its square scale.
 *
 * @param mean of what was read, for sag
 * @param aim of the limits, for a belt of unknown stiffness
 * @param strand how a chain's slack was read: hanging in an arc, or moved by hand to a triangle; the same slack shows otherwise
 * @returns null where nothing can be adjusted: a planetary set, a chain judged by its wear, a chain that hangs straight
 */
export function sensitivityOf(
  element: StageElement,
  mean: number,
  aim: number,
  strand: StrandShape = "arc",
): number | null {
  if (isBelt(element)) return beltSensitivity(element, aim);
  switch (element.kind) {
    case "gear-pair": {
      const mesh = gearPair(element.pair);
      return mesh.ok ? mesh.value.backlashPerCentreMm : null;
    }
    case "worm":
      return wormPair(element.worm).backlashPerCentreMm;
    case "bevel":
      return bevelPair(element.bevel).backlashPerAxialMm[element.shimmed === "pinion" ? 0 : 1];
    case "planetary":
      return null;
    case "chain":
      return judgedBy(element) === "sag" && mean > 0 ? sagSlope(element, strand) / (2 * mean) : null;
    case "gap":
      return 1;
  }
}

/** Strain at the aim where the stiffness is not known. */
const guessedStrain = 0.002;

export const beltStiffness = ({ stiffnessN }: BeltElement, aimN: number): number => stiffnessN ?? aimN / guessedStrain;

function beltSensitivity(element: BeltElement, aim: number): number | null {
  const path = stagePath(element);
  if (!path.ok) return null;
  return (beltStiffness(element, aim) * pathPull(path.value, element.moved)) / path.value.laid.lengthMm;
}

/**
 * d(s²)/dC: the slack of a span that hangs is 8s²/(3L), of one moved by hand 2y²/L, and all that the path takes up goes out of it:
 * −3·L·pull/8 or −L·pull/2 a mm.
 */
function sagSlope(chain: ChainElement, strand: StrandShape): number {
  const path = stagePath(chain);
  if (!path.ok) return Number.NaN;
  const span = Math.max(...path.value.laid.spans.map(({ lengthMm }) => lengthMm));
  return -slopePerSpan[strand] * span * pathPull(path.value, chain.moved);
}

const slopePerSpan: Record<StrandShape, number> = { arc: 3 / 8, triangle: 1 / 2 };

/** How the slack of a strand shows, by how it was read. */
export const strandRead = (quantity: MeasuredQuantity | undefined): StrandShape =>
  quantity === "hand-movement" ? "triangle" : "arc";

/** Square of what a movement by hand shows to that of a hanging sag, for the same slack: y² = 4/3·s². */
export const handSquare = slopePerSpan.triangle / slopePerSpan.arc;
