import type { StrandShape } from "../chains";
import type { MeasuredQuantity } from "./quantities";

/** d(s²)/dC over the length of the span and the pull of the path, by how the slack of a strand shows. */
export const slopePerSpan: Record<StrandShape, number> = { arc: 3 / 8, triangle: 1 / 2 };

/** How the slack of a strand shows, by how it was read. */
export const strandRead = (quantity: MeasuredQuantity | undefined): StrandShape =>
  quantity === "hand-movement" ? "triangle" : "arc";

/** Square of what a movement by hand shows to that of a hanging sag, for the same slack: y² = 4/3·s². */
export const handSquare = slopePerSpan.triangle / slopePerSpan.arc;
