import * as z from "zod";
import { idlerSet } from "../../core/belts";
import { finite, positive } from "../fields";
import { tool } from "../tool";
import { pathPulleys } from "./belt-path";

export const idlerSetTool = tool({
  name: "idler-set",
  purpose: "the turn of an eccentric idler that gives a belt its length",
  input: z.strictObject({
    pulleys: pathPulleys,
    eccentric: z.strictObject({
      index: z.number().int().gte(0),
      pivotX: finite,
      pivotY: finite,
      throwMm: positive,
    }),
    targetLengthMm: positive,
    fromDeg: finite.default(0),
  }),
  output: z.strictObject({
    angleDeg: z.number().nullable(),
    lengthPerDegMm: z.number().nullable(),
    range: z.strictObject({ minLengthMm: z.number(), maxLengthMm: z.number() }).nullable(),
    feasible: z.boolean(),
  }),
  run: ({ pulleys, eccentric, targetLengthMm, fromDeg }) => idlerSet(pulleys, eccentric, targetLengthMm, fromDeg),
});
