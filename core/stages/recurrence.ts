import { lcm } from "../numerics";

export const recurringParts = [
  "driver-turn",
  "driven-turn",
  "tooth",
  "same-teeth",
  "belt-round",
  "chain-round",
  "link",
  "sun-tooth",
  "ring-tooth",
  "carrier-turn",
  "worm-turn",
] as const;
export type RecurringPart = (typeof recurringParts)[number];

/** Something of a stage that comes round, and how often; `timesPerTurn` of its driving shaft. */
export type Recurrence = { part: RecurringPart; timesPerTurn: number };

/** Two toothed wheels in mesh, by turns of the first. */
export const meshRecurrences = ([z1, z2]: readonly [number, number]): Recurrence[] => [
  { part: "driver-turn", timesPerTurn: 1 },
  { part: "driven-turn", timesPerTurn: z1 / z2 },
  { part: "tooth", timesPerTurn: z1 },
  { part: "same-teeth", timesPerTurn: z1 / lcm(z1, z2) },
];
