import * as z from "zod";
import { paperStrip, stripFor } from "../../core/gears";
import { judge } from "../../core/limits";
import { accept } from "../../core/quantity";
import { helixAngle, notNegative, openLimits, positive, pressureAngle } from "../fields";
import { tool } from "../tool";

export const paperStripTool = tool({
  name: "paper-strip",
  purpose: "the backlash that a strip of paper in the mesh stands for, judged, and the strip for a wanted backlash",
  input: z.strictObject({
    thicknessMm: positive,
    flanks: z.literal([1, 2]),
    pressed: z.number().gt(0).lte(1).default(1),
    toleranceMm: notNegative.optional(),
    pressureAngleDeg: pressureAngle,
    helixAngleDeg: helixAngle,
    workingPressureAngleDeg: z.number().gt(0).lt(90).optional(),
    limits: openLimits.optional(),
    aimMm: positive.optional(),
  }),
  output: z.strictObject({
    normalMm: z.number(),
    circumferentialMm: z.number(),
    radialMm: z.number(),
    expandedUncertaintyMm: z.number(),
    verdict: z.enum(["conforms", "does-not-conform", "undecided"]).optional(),
    thicknessForAimMm: z.number().optional(),
  }),
  run: ({ limits, aimMm, toleranceMm, ...given }) => {
    const strip = { ...given, toleranceMm: toleranceMm ?? given.thicknessMm / 10 };
    const means = paperStrip(strip);
    return accept({
      ...means,
      ...(limits ? { verdict: judge(means.circumferentialMm, limits, means.expandedUncertaintyMm).verdict } : {}),
      ...(aimMm === undefined ? {} : { thicknessForAimMm: stripFor(strip, aimMm) }),
    });
  },
});
