import * as z from "zod";
import { accept } from "../../core/quantity";
import { train } from "../../core/trains";
import { finite, notNegative, notZero, positive } from "../fields";
import { tool } from "../tool";

export const trainTool = tool({
  name: "train",
  purpose: "stages in a row: ratio, speed, torque, surface speed, lost motion and each stage's share",
  input: z.strictObject({
    stages: z
      .array(
        z.strictObject({
          id: z.string().max(200),
          ratio: notZero,
          efficiency: z.number().gt(0).lte(1).default(1),
          lostMotionArcmin: notNegative.default(0),
        }),
      )
      .min(1)
      .max(1000),
    inputRpm: finite.optional(),
    inputTorqueNm: notNegative.optional(),
    wheelDiameterMm: positive.optional(),
    scale: positive.optional(),
  }),
  output: z.strictObject({
    ratio: z.number(),
    outputRpm: z.number().optional(),
    outputTorqueNm: z.number().optional(),
    surfaceSpeedMPerS: z.number().optional(),
    prototypeSpeedKmPerH: z.number().optional(),
    lostMotionAtOutputArcmin: z.number(),
    contributions: z.array(z.strictObject({ id: z.string(), arcmin: z.number(), share: z.number() })),
  }),
  run: ({ stages, ...drive }) => accept(train(stages, drive)),
});
