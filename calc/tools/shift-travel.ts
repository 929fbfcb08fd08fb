import * as z from "zod";
import { shiftTravel } from "../../core/shifting";
import { finite, oneEnd } from "../fields";
import { tool } from "../tool";

const face = z.strictObject({ fromMm: finite, toMm: finite });
const sides = z.strictObject({ left: face, right: face });
const end = z.strictObject({
  overlapMm: z.number(),
  share: z.number(),
  marginMm: z.number(),
  ok: z.boolean(),
  spacerChangeMm: z.number(),
});

export const shiftTravelTool = tool({
  name: "shift-travel",
  purpose: "a sliding gear between two mates: face in mesh at both stops, spacers, and the neutral travel between",
  input: z.strictObject({
    slider: sides,
    mates: sides,
    stops: z.strictObject({ leftMm: finite, rightMm: finite }),
    wantedShare: z.number().gt(0).lte(1).default(0.95),
    neutral: z
      .strictObject({ loMm: finite.optional(), hiMm: finite.optional() })
      .superRefine(oneEnd("loMm", "hiMm"))
      .optional(),
  }),
  output: z.strictObject({
    left: end,
    right: end,
    neutralMm: z.number(),
    neutralOk: z.boolean(),
    ok: z.boolean(),
    feasible: z.boolean(),
  }),
  run: ({ neutral, ...question }) =>
    shiftTravel({ ...question, neutral: { loMm: neutral?.loMm ?? 0, hiMm: neutral?.hiMm } }),
});
