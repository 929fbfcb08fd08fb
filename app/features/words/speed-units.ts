/** Metres a second in one of what a speed along a rim is typed in. */
export const metresASecond = { "m/s": 1, "km/h": 1 / 3.6, mph: 0.44704 } as const;
