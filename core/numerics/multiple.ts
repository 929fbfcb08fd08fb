/** The multiple of `step` that is nearest; halves go up, and a last bit missing on a half does not send it down. */
export const nearestMultiple = (value: number, step: number): number => Math.floor(value / step + 0.5 + 1e-9) * step;
