import * as z from "zod";
import { accept, refuse } from "../../core/quantity";
import { robustTrend } from "../../core/statistics";
import { both, finite } from "../fields";
import { tool } from "../tool";

export const trendTool = tool({
  name: "trend",
  purpose: "robust line through readings over time with resets, and when it crosses a limit",
  input: z.strictObject({
    points: z
      .array(z.strictObject({ t: finite, y: finite }))
      .min(3)
      .max(2000),
    resets: z.array(finite).max(2000).default([]),
    limit: finite.optional(),
  }),
  output: z.strictObject({
    slope: z.number(),
    slopeInterval: both(z.number()),
    level: z.number(),
    crossing: z
      .strictObject({ t: z.number(), earliest: z.number(), latest: z.number().nullable() })
      .nullable()
      .optional(),
  }),
  run: ({ points, resets, limit }) => {
    const trend = robustTrend(points, resets, limit);
    if (!trend) return refuse("no-two-times", ["points"]);
    const { coverage: _, ...told } = trend;
    return accept(told);
  },
});
