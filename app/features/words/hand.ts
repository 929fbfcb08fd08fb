/** The hand of a helix by its signed angle. */
export const handOf = (angleDeg: number): string =>
  angleDeg === 0 ? "spur" : angleDeg > 0 ? "right-hand" : "left-hand";
