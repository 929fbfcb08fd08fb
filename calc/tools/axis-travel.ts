import * as z from "zod";
import { axisTravel, axisUnits, travelFaults } from "../../core/axes";
import { exactlyOne, finite, notNegative, positive, toothCount } from "../fields";
import { tool } from "../tool";

const end = z.strictObject({ switchAt: finite.optional(), bufferAt: finite });
const endTravel = z.strictObject({
  room: z.number(),
  switchWindow: z.tuple([z.number(), z.number()]).nullable(),
  workToSwitch: z.number().optional(),
  switchToBuffer: z.number().optional(),
  margin: z.number().optional(),
  speedAtBuffer: z.number().optional(),
});

export const axisTravelTool = tool({
  name: "axis-travel",
  purpose: "whether the end switches of an axis stop it before its buffers, and its position sensor lasts",
  input: z
    .strictObject({
      unit: z.enum(axisUnits).default("mm"),
      perTurn: positive.optional(),
      pulley: z.strictObject({ pitchMm: positive, teeth: toothCount }).optional(),
      work: z.strictObject({ lo: finite, hi: finite }).refine(({ lo, hi }) => lo < hi, {
        path: ["lo"],
        params: { code: "window-upside-down" },
        error: "the work must end above where it begins",
      }),
      low: end,
      high: end,
      speed: positive,
      decel: positive,
      reactionS: notNegative.default(0),
      sensor: z
        .strictObject({
          turnsAvailable: positive,
          turnsPerShaftTurn: positive.default(1),
          turnsAtLow: finite.optional(),
        })
        .optional(),
    })
    .superRefine(exactlyOne(["perTurn", "pulley"]))
    .superRefine(({ unit, pulley, low, high }, context) => {
      const at = (path: string[], code: string, message: string) =>
        context.addIssue({ code: "custom", params: { code }, message, path });
      if (unit === "deg" && pulley) at(["pulley"], "not-of-this-form", "a pulley's travel is in mm");
      if (high.bufferAt <= low.bufferAt)
        at(["high", "bufferAt"], "window-upside-down", "the high buffer must lie above the low one");
    }),
  output: z.strictObject({
    travel: z.number(),
    shaftTurns: z.number(),
    stopping: z.number(),
    ends: z.strictObject({ low: endTravel, high: endTravel }),
    sensor: z
      .strictObject({
        turnsUsed: z.number(),
        turnsLeft: z.tuple([z.number(), z.number()]),
        turnsAtLow: z.number(),
      })
      .optional(),
    faults: z.array(
      z.strictObject({ end: z.enum(["low", "high", "sensor"]), code: z.enum(travelFaults), by: z.number() }),
    ),
    ok: z.boolean(),
    feasible: z.boolean(),
  }),
  run: ({ unit: _, perTurn, pulley, ...question }) =>
    axisTravel({ ...question, perTurn: perTurn ?? (pulley ? pulley.pitchMm * pulley.teeth : 0) }),
});
