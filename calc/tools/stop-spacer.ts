import * as z from "zod";
import { stopSpacer } from "../../core/advice";
import { accept, refuse } from "../../core/quantity";
import { finite, notNegative, notZero, ordered, positive } from "../fields";
import { tool } from "../tool";

const verdict = z.enum(["conforms", "does-not-conform", "undecided"]);

export const stopSpacerTool = tool({
  name: "stop-spacer",
  purpose: "which spacer under each hard stop brings the backlash held against it inside the limits",
  input: z.strictObject({
    ends: z
      .array(
        z.strictObject({
          id: z.string().min(1).max(200),
          readingsMm: z.array(finite).min(1).max(10_000),
          perMm: notZero,
          spacerMm: notNegative.default(0),
        }),
      )
      .min(1)
      .max(1000),
    limits: z.strictObject({ lo: notNegative, aim: finite.optional(), hi: finite }).superRefine(ordered("lo", "hi")),
    expandedUncertaintyMm: notNegative.default(0),
    spacersMm: z.array(positive).min(1).max(10_000).optional(),
  }),
  output: z.strictObject({
    feasible: z.boolean(),
    ends: z.array(
      z.strictObject({
        id: z.string(),
        verdict,
        changeMm: z.number(),
        spacerMm: z.number(),
        choose: z
          .strictObject({ thicknessMm: z.number(), minMm: z.number(), maxMm: z.number(), verdict })
          .nullable()
          .optional(),
        feasible: z.boolean(),
      }),
    ),
  }),
  run: (question) => {
    const ids = question.ends.map(({ id }) => id);
    const twice = ids.findIndex((id, i) => ids.indexOf(id) < i);
    return twice >= 0 ? refuse("id-twice", ["ends", twice, "id"]) : accept(stopSpacer(question));
  },
});
