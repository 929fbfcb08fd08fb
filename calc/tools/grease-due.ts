import * as z from "zod";
import { type GreasePoint, greaseDue } from "../../core/greasing";
import { accept, refuse } from "../../core/quantity";
import { words } from "../../core/schemas";
import { notNegative, positive } from "../fields";
import { tool } from "../tool";

const point = z
  .strictObject({
    id: words(200),
    intervalH: positive,
    lastH: notNegative,
    dirt: z.enum(["clean", "dusty", "dirty"]).default("clean"),
    wet: z.enum(["dry", "damp", "wet"]).default("dry"),
    tempC: z.number().gte(-100).lte(400).default(70),
    vertical: z.boolean().default(false),
    intervalDays: positive.optional(),
    daysSince: notNegative.optional(),
    grams: notNegative.optional(),
    bearing: z.strictObject({ outerMm: positive, widthMm: positive }).optional(),
  })
  .superRefine(({ intervalDays, daysSince, grams, bearing }, context) => {
    const at = (path: string, code: string, message: string) =>
      context.addIssue({ code: "custom", params: { code }, message, path: [path] });
    if (intervalDays === undefined && daysSince !== undefined) at("intervalDays", "missing", "this is missing");
    if (intervalDays !== undefined && daysSince === undefined) at("daysSince", "missing", "this is missing");
    if (grams !== undefined && bearing) at("grams", "one-of-doubled", "give only one of grams, bearing");
  });

const asked = ({ intervalDays, daysSince, grams, bearing, ...rest }: z.output<typeof point>): GreasePoint => ({
  ...rest,
  byDays: intervalDays !== undefined && daysSince !== undefined ? { intervalDays, daysSince } : undefined,
  amount: bearing ?? (grams === undefined ? undefined : { grams }),
});

export const greaseDueTool = tool({
  name: "grease-due",
  purpose: "which points are to be greased when, by dirt, wet, heat and position, and with how much",
  input: z.strictObject({
    points: z.array(point).min(1).max(2000),
    nowH: notNegative,
    hoursPerDay: z.number().gt(0).lte(24),
    horizonDays: notNegative.default(0),
  }),
  output: z.strictObject({
    points: z.array(
      z.strictObject({
        id: z.string(),
        factor: z.number(),
        intervalH: z.number(),
        dueAtH: z.number(),
        dueInDays: z.number(),
        by: z.enum(["hours", "days"]),
        overdue: z.boolean(),
        grams: z.number().optional(),
      }),
    ),
    due: z.array(z.string()),
    gramsDue: z.number(),
  }),
  run: ({ points, nowH, hoursPerDay, horizonDays }) => {
    for (const [i, { id, lastH }] of points.entries()) {
      if (points.findIndex((other) => other.id === id) < i) return refuse("id-twice", ["points", i, "id"]);
      if (lastH > nowH) return refuse("too-large", ["points", i, "lastH"], { most: nowH });
    }
    return accept(greaseDue(points.map(asked), nowH, hoursPerDay, horizonDays));
  },
});
