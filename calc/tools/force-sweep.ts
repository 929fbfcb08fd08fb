import * as z from "zod";
import { forceSweep } from "../../core/shifting";
import { both, notNegative, positive } from "../fields";
import { tool } from "../tool";

type Point = { forceN?: number | undefined; pressureBar?: number | undefined };
const other = { forceN: "pressureBar", pressureBar: "forceN" } as const;

export const forceSweepTool = tool({
  name: "force-sweep",
  purpose: "whether the current stays flat while an actuator's force is raised against a stop, or what gives way",
  input: z.strictObject({
    points: z
      .array(
        z.strictObject({ forceN: notNegative.optional(), pressureBar: notNegative.optional(), currentA: positive }),
      )
      .min(3)
      .max(10_000)
      .superRefine((points, context) => {
        const key = points[0]?.forceN === undefined ? "pressureBar" : "forceN";
        for (const [i, point] of points.entries()) {
          const at = (code: string, name: keyof Point, message: string) =>
            context.addIssue({ code: "custom", params: { code }, message, path: [i, name] });
          const given = [point.forceN, point.pressureBar].filter((value) => value !== undefined).length;
          if (i === 0 && given !== 1)
            at(given === 0 ? "one-of-missing" : "one-of-doubled", "forceN", "give one of forceN, pressureBar");
          else if (point[other[key]] !== undefined) at("unknown-key", other[key], `the first point has ${key}`);
          else if (point[key] === undefined) at("missing", key, "this is missing");
        }
      }),
    allowedRisePercent: notNegative.default(5),
    resolutionA: notNegative.default(0.01),
  }),
  output: z.strictObject({
    slope: z.number(),
    slopeInterval: both(z.number()),
    risePercent: z.number(),
    risePercentInterval: both(z.number()),
    verdict: z.enum(["flat", "rises", "undecided"]),
    cause: z.enum(["follows", "gives-way", "settles", "unknown"]).nullable(),
  }),
  run: ({ points, allowedRisePercent, resolutionA }) =>
    forceSweep(
      points.map(({ forceN, pressureBar, currentA }) => ({ force: forceN ?? pressureBar ?? Number.NaN, currentA })),
      allowedRisePercent,
      resolutionA,
    ),
});
