import * as z from "zod";
import { axisUnits } from "../../../axes";
import { finite, length, notNegative, positive, words } from "../../../schemas";

/** From the low end to the high one. */
const fromTo = z.object({ lo: finite, hi: finite }).refine(({ lo, hi }) => lo < hi, {
  path: ["lo"],
  params: { code: "window-upside-down" },
  error: "it must end above where it begins",
});

/** What a strand pulls, as read, step by step. */
const points = z
  .array(z.object({ extensionMm: notNegative, forceN: notNegative }))
  .min(2)
  .max(40)
  .superRefine((list, context) => {
    for (const [i, point] of list.entries()) {
      const before = list[i - 1];
      if (before && (point.extensionMm <= before.extensionMm || point.forceN < before.forceN))
        context.addIssue({
          code: "custom",
          path: [i],
          params: { code: "does-not-rise" },
          message: "stretch must rise, and force not fall",
        });
    }
  });

/** What a machine moves to and fro. */
export const axisSchema = z
  .object({
    kind: z.literal("axis"),
    /** Sliding counts in mm, swinging in degrees: positions, speed, deceleration, what it is read in. */
    unit: z.enum(axisUnits).default("mm"),
    work: fromTo,
    /** Where the buffers are first touched. */
    buffers: fromTo,
    /** Travel per turn of its shaft. */
    perTurn: positive,
    speed: positive,
    decel: positive,
    reactionS: notNegative.default(0),
    /** The worst that was read from switch to standstill; null: it was not read, and is computed. */
    stopsIn: positive.nullable().default(null),
    /** How far from the pivot of a swinging axis its switches stand; null: not known. */
    switchRadiusMm: length.nullable().default(null),
    sensor: z
      .object({ turnsAvailable: positive, turnsPerShaftTurn: positive.default(1), turnsAtLow: finite.optional() })
      .nullable()
      .default(null),
    /** What it moves against, what it carries at most beside that, the friction of both ways; `armMm` where they act, of a swinging one. */
    load: z
      .object({
        forceN: positive,
        payloadN: notNegative.default(0),
        frictionN: notNegative.default(0),
        armMm: length.nullable().default(null),
      })
      .nullable()
      .default(null),
    /** Springs or cords that carry a lifted load. */
    balance: z
      .object({
        points,
        strands: z.number().int().gte(0).lte(200),
        reeving: positive.default(1),
        extensionAtTopMm: notNegative,
        maxExtensionMm: length.nullable().default(null),
      })
      .nullable()
      .default(null),
    motor: z
      .object({
        torqueNm: positive,
        gears: z
          .array(z.object({ name: words(40), ratio: positive, efficiency: z.number().gt(0).lte(1) }))
          .min(1)
          .max(12),
      })
      .nullable()
      .default(null),
  })
  .superRefine(({ unit, load, balance, motor }, context) => {
    const at = (path: string[], message: string) =>
      context.addIssue({ code: "custom", path, params: { code: "missing" }, message });
    if ((balance || motor) && !load) at(["load"], "a balance or a motor is judged by the load");
    if (unit === "deg" && load && load.armMm === null) at(["load", "armMm"], "a swinging load has an arm");
  });
export type AxisElement = z.output<typeof axisSchema>;
