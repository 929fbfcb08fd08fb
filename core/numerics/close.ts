/** What two sizes may differ by and still be the same: 1e-9, in their unit. */
export const same = 1e-9;

/** a ≥ b, a ≤ b, a > b and a < b of sizes, clearances and shares: a limit that is reached is kept, whatever the last bit says. */
export const atLeast = (a: number, b: number): boolean => a >= b - same;
export const atMost = (a: number, b: number): boolean => a <= b + same;
export const above = (a: number, b: number): boolean => a > b + same;
export const below = (a: number, b: number): boolean => a < b - same;
export const alike = (a: number, b: number): boolean => Math.abs(a - b) <= same;
