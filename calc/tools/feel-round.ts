import * as z from "zod";
import { feelRound } from "../../core/rounds";
import type { FeelGrade } from "../../core/stages";
import { tool } from "../tool";

const place = z.number().int().gte(0).lte(20_000);

export const feelRoundTool = tool({
  name: "feel-round",
  purpose: "a round felt by hand: verdict, tight spot, which way to go and where to feel next",
  input: z.strictObject({
    words: z
      .array(z.strictObject({ place, grade: z.number().int().gte(1).lte(5) }))
      .min(1)
      .max(100_000),
    places: z.number().int().gte(3).lte(10_000),
    arc: z.tuple([place, place]).optional(),
  }),
  output: z.strictObject({
    verdict: z.enum(["inside", "near", "outside", "not-known"]),
    side: z.enum(["tight", "loose", "both"]).nullable(),
    tightPlace: z.number().nullable(),
    spreadSteps: z.number(),
    feasible: z.boolean(),
    step: z.enum(["apart", "together", "none"]),
    missing: z.number(),
    feelNext: z.number().nullable(),
  }),
  run: ({ words, places, arc }) =>
    feelRound(
      words.map((word) => ({ ...word, grade: word.grade as FeelGrade })),
      places,
      arc,
    ),
});
