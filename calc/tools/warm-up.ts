import * as z from "zod";
import { accept, refuse } from "../../core/quantity";
import { warmUp } from "../../core/statistics";
import { finite } from "../fields";
import { tool } from "../tool";

export const warmUpTool = tool({
  name: "warm-up",
  purpose: "final temperature and time constant of a drive warming up, and when it passes a limit",
  input: z.strictObject({
    points: z
      .array(z.strictObject({ minutes: finite, tempC: finite }))
      .min(4)
      .max(2000),
    limitC: finite.optional(),
  }),
  output: z.strictObject({
    finalC: z.number(),
    timeConstantMinutes: z.number(),
    passesLimitAtMinutes: z.number().optional(),
  }),
  run: ({ points, limitC }) => {
    const fitted = warmUp(points, limitC);
    return fitted ? accept(fitted) : refuse("no-two-times", ["points"]);
  },
});
