import * as z from "zod";
import { judge } from "../../core/limits";
import { accept } from "../../core/quantity";
import { exactlyOne, finite, notNegative, ordered } from "../fields";
import { tool } from "../tool";

const limits = z
  .strictObject({ lo: finite.optional(), hi: finite.optional() })
  .superRefine((input, context) => {
    if (input.lo === undefined && input.hi === undefined)
      context.addIssue({
        code: "custom",
        params: { code: "one-of-missing" },
        message: "give lo, hi or both",
        path: ["lo"],
      });
  })
  .superRefine(ordered("lo", "hi"));

export const verdictTool = tool({
  name: "verdict",
  purpose: "judge a value against limits under its expanded uncertainty (ISO 14253-1)",
  input: z
    .strictObject({
      valueMm: finite.optional(),
      value: finite.optional(),
      limits,
      expandedUncertainty: notNegative,
    })
    .superRefine(exactlyOne(["valueMm", "value"])),
  output: z.strictObject({
    verdict: z.enum(["conforms", "does-not-conform", "undecided"]),
    marginToNearest: z.number(),
  }),
  run: (input) => accept(judge(input.valueMm ?? input.value ?? Number.NaN, input.limits, input.expandedUncertainty)),
});
