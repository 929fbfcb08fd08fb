import type { PrintKind } from "../prints";

/** A mesh that can be printed: as what its print is read, the usual one first, and what of its teeth the reading needs. */
export type PrintableMesh = {
  kinds: readonly PrintKind[];
  /** null: its teeth are not known here; whoever prints it says it. */
  wholeDepthMm: number | null;
  faceWidthMm: number | null;
  pressureAngleDeg: number;
  spiral: boolean;
};

/** Whole depth of a tooth over its module (ISO 53). */
export const wholeDepthOf = (moduleMm: number): number => 2.25 * moduleMm;
