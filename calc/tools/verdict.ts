import * as z from "zod";
import { judge } from "../../core/limits";
import { accept } from "../../core/quantity";
import { exactlyOne, finite, notNegative, openLimits } from "../fields";
import { tool } from "../tool";

export const verdictTool = tool({
  name: "verdict",
  purpose: "judge a value against limits under its expanded uncertainty (ISO 14253-1)",
  input: z
    .strictObject({
      valueMm: finite.optional(),
      value: finite.optional(),
      limits: openLimits,
      expandedUncertainty: notNegative,
    })
    .superRefine(exactlyOne(["valueMm", "value"])),
  output: z.strictObject({
    verdict: z.enum(["conforms", "does-not-conform", "undecided"]),
    marginToNearest: z.number(),
  }),
  run: (input) => accept(judge(input.valueMm ?? input.value ?? Number.NaN, input.limits, input.expandedUncertainty)),
});
