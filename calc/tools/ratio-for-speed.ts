import * as z from "zod";
import { accept, refuse } from "../../core/quantity";
import { ratioForSpeed, surfaceSpeed } from "../../core/trains";
import { both, exactlyOne, notNegative, ordered, positive, toothCount } from "../fields";
import { tool } from "../tool";

const most = toothCount.lte(300);

export const ratioForSpeedTool = tool({
  name: "ratio-for-speed",
  purpose: "the tooth counts, in one stage or two, that come nearest to a wanted output speed",
  input: z
    .strictObject({
      inputRpm: positive,
      outputRpm: positive.optional(),
      outputMPerS: positive.optional(),
      wheelDiameterMm: positive.optional(),
      teeth: z.union([
        z.array(toothCount).min(1).max(300),
        z.strictObject({ from: most, to: most }).superRefine(ordered("from", "to")),
      ]),
      toothSum: z.number().int().gte(6).lte(20_000).optional(),
      stages: z.literal([1, 2]).default(1),
      results: z.number().int().gte(1).lte(100).default(5),
      tolerancePercent: notNegative.optional(),
    })
    .superRefine(exactlyOne(["outputRpm", "outputMPerS"])),
  output: z.strictObject({
    wantedRatio: z.number(),
    combinations: z.array(
      z.strictObject({
        teeth: z.array(both(z.number())),
        ratio: z.number(),
        outputRpm: z.number(),
        outputMPerS: z.number().optional(),
        errorPercent: z.number(),
      }),
    ),
    feasible: z.boolean(),
  }),
  run: ({ inputRpm, outputRpm, outputMPerS, wheelDiameterMm, teeth, tolerancePercent, ...question }) => {
    if (outputMPerS !== undefined && wheelDiameterMm === undefined) return refuse("missing", ["wheelDiameterMm"]);
    if (outputMPerS === undefined && wheelDiameterMm !== undefined)
      return refuse("no-surface-speed", ["wheelDiameterMm"]);
    const perTurn = wheelDiameterMm === undefined ? null : surfaceSpeed(1, wheelDiameterMm);
    const wantedRatio = inputRpm / (outputRpm ?? (outputMPerS ?? Number.NaN) / (perTurn ?? Number.NaN));
    const counts = Array.isArray(teeth)
      ? teeth
      : Array.from({ length: teeth.to - teeth.from + 1 }, (_, i) => teeth.from + i);
    const choices = ratioForSpeed({ ...question, wantedRatio, teeth: counts });
    const [best] = choices;
    return accept({
      wantedRatio,
      combinations: choices.map(({ teeth, ratio, errorPercent }) => ({
        teeth,
        ratio,
        outputRpm: inputRpm / ratio,
        ...(perTurn === null ? {} : { outputMPerS: (inputRpm / ratio) * perTurn }),
        errorPercent,
      })),
      feasible:
        best !== undefined && Math.abs(best.errorPercent) <= (tolerancePercent ?? Number.POSITIVE_INFINITY) + 1e-9,
    });
  },
});
