import * as z from "zod";
import { beltWidth } from "../../core/belts";
import { chosenForm, positive, toothCount } from "../fields";
import { tool } from "../tool";

const pulley = {
  pitchDiameterMm: positive.optional(),
  pitchMm: positive.optional(),
  teeth: toothCount.optional(),
  // As whole teeth are counted, with 1e-9 for what a division leaves.
  teethInMesh: z
    .number()
    .gte(2 - 1e-9)
    .lte(10_000)
    .default(6),
};
type Pulley = { pitchDiameterMm?: number | undefined; pitchMm?: number | undefined; teeth?: number | undefined };
const pulleyForm = chosenForm<Pulley>(["pitchDiameterMm"], ["pitchMm", "teeth"]);
type Drive = Pulley & { torqueNm?: number | undefined; powerW?: number | undefined; rpm?: number | undefined };
const driveForm = chosenForm<Drive>(["torqueNm"], ["powerW", "rpm"]);

const diameterOf = ({ pitchDiameterMm, pitchMm = 0, teeth = 0 }: Pulley): number =>
  pitchDiameterMm ?? (pitchMm * teeth) / Math.PI;

const placed = {
  pullN: z.number(),
  meshFactor: z.number(),
  widthMm: z.number(),
  stockMm: z.number().nullable().optional(),
  sharePercent: z.number().optional(),
};

export const beltWidthTool = tool({
  name: "belt-width",
  purpose: "how wide a toothed belt has to be at its place in the train, and what of the stock is wide enough",
  input: z
    .strictObject({
      torqueNm: positive.optional(),
      powerW: positive.optional(),
      rpm: positive.optional(),
      ...pulley,
      allowableNPerMm: positive,
      serviceFactor: positive.default(1),
      stockMm: z.array(positive).min(1).max(1000).optional(),
      behind: z
        .strictObject({
          ratio: positive,
          efficiency: z.number().gt(0).lte(1).default(1),
          ...pulley,
          allowableNPerMm: positive.optional(),
        })
        .superRefine(pulleyForm)
        .optional(),
    })
    .superRefine(driveForm)
    .superRefine(pulleyForm),
  output: z.strictObject({ ...placed, behind: z.strictObject(placed).optional(), feasible: z.boolean() }),
  run: ({ torqueNm, powerW = 0, rpm = 1, behind, stockMm, serviceFactor, teethInMesh, allowableNPerMm, ...first }) =>
    beltWidth({
      torqueNm: torqueNm ?? powerW / ((2 * Math.PI * rpm) / 60),
      serviceFactor,
      stockMm,
      pitchDiameterMm: diameterOf(first),
      teethInMesh,
      allowableNPerMm,
      behind: behind && {
        ratio: behind.ratio,
        efficiency: behind.efficiency,
        pitchDiameterMm: diameterOf(behind),
        teethInMesh: behind.teethInMesh,
        allowableNPerMm: behind.allowableNPerMm ?? allowableNPerMm,
      },
    }),
});
