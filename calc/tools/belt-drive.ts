import * as z from "zod";
import { type BeltPulleys, type BeltSize, beltDrive } from "../../core/belts";
import { both, exactlyOne, oneForm, positive, toothCount, wanted } from "../fields";
import { tool } from "../tool";

const input = z
  .strictObject({
    pitchMm: positive.optional(),
    teeth: both(toothCount).optional(),
    beltTeeth: z.number().int().gte(1).lte(1_000_000).optional(),
    pitchDiameterMm: both(positive).optional(),
    lengthMm: positive.optional(),
    centreDistanceMm: positive.optional(),
  })
  .superRefine((given, context) => {
    const form = oneForm<typeof given>([
      ["pitchMm", "teeth", "beltTeeth"],
      ["pitchDiameterMm", "lengthMm"],
    ])(given, context);
    if (form === 0) {
      wanted<typeof given>(["pitchMm", "teeth"])(given, context);
      exactlyOne<typeof given>(["beltTeeth", "centreDistanceMm"])(given, context);
    }
    if (form === 1) {
      wanted<typeof given>(["pitchDiameterMm"])(given, context);
      exactlyOne<typeof given>(["lengthMm", "centreDistanceMm"])(given, context);
    }
  });

const two = both(z.number());

export const beltDriveTool = tool({
  name: "belt-drive",
  purpose: "an open belt over two pulleys: length, centre distance, wrap, teeth in mesh, whole belts around",
  input,
  output: z.strictObject({
    pitchDiameterMm: two,
    lengthMm: z.number(),
    beltTeeth: z.number().optional(),
    centreDistanceMm: z.number().optional(),
    spanMm: z.number().optional(),
    wrapDeg: two.optional(),
    teethInMesh: two.optional(),
    ratio: z.number(),
    feasible: z.boolean(),
    nearestBelts: z.array(z.strictObject({ beltTeeth: z.number(), centreDistanceMm: z.number() })).optional(),
  }),
  run: ({ pitchMm, teeth, pitchDiameterMm, beltTeeth, lengthMm, centreDistanceMm }) => {
    const pulleys: BeltPulleys = pitchDiameterMm
      ? { by: "diameter", pitchDiameterMm }
      : { by: "teeth", pitchMm: pitchMm as number, teeth: teeth as [number, number] };
    const size = (
      beltTeeth !== undefined ? { beltTeeth } : lengthMm !== undefined ? { lengthMm } : { centreDistanceMm }
    ) as BeltSize;
    return beltDrive(pulleys, size);
  },
});
