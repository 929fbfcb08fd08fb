import * as z from "zod";
import { rollerGrid } from "../../core/belts";
import { finite, newtonWindow, notNegative, positive } from "../fields";
import { tool } from "../tool";
import { pathPulleys } from "./belt-path";

export const rollerGridTool = tool({
  name: "roller-grid",
  purpose: "which barrel in which hole gives a belt its tension",
  input: z.strictObject({
    pulleys: pathPulleys,
    roller: z.strictObject({
      index: z.number().int().gte(0).lte(1000),
      holes: z
        .array(z.strictObject({ x: finite, y: finite }))
        .min(1)
        .max(1000),
      diametersMm: z.array(positive).min(1).max(1000),
      addRadiusMm: notNegative.default(0),
    }),
    lengthMm: positive,
    stiffnessN: positive,
    limitsN: newtonWindow,
  }),
  output: z.strictObject({
    feasible: z.boolean(),
    rows: z.array(
      z.strictObject({
        hole: z.number(),
        diameterMm: z.number(),
        fits: z.boolean(),
        lengthMm: z.number().nullable(),
        tensionN: z.number().nullable(),
        state: z.enum(["slack", "below", "inside", "above"]).nullable(),
      }),
    ),
    best: z.strictObject({ hole: z.number(), diameterMm: z.number(), tensionN: z.number() }).nullable(),
    aimDiameterMm: z.array(z.number().nullable()),
    slackWithoutMm: z.number().optional(),
    goesOn: z.boolean().optional(),
  }),
  run: ({ pulleys, roller, ...belt }) => rollerGrid(pulleys, roller, belt),
});
