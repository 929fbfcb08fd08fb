import * as z from "zod";
import { beltPath } from "../../core/belts";
import { finite, positive } from "../fields";
import { tool } from "../tool";

export const pathPulley = z.strictObject({
  x: finite,
  y: finite,
  pitchDiameterMm: positive,
  side: z.enum(["inside", "outside"]),
});

export const pathPulleys = z.array(pathPulley).min(2).max(100);

export const beltPathTool = tool({
  name: "belt-path",
  purpose: "a belt round many pulleys, inside and outside: length, spans, wraps, or that it has no path",
  input: z.strictObject({ pulleys: pathPulleys }),
  output: z.strictObject({
    lengthMm: z.number().nullable(),
    feasible: z.boolean(),
    spans: z.array(z.strictObject({ lengthMm: z.number(), from: z.number(), to: z.number() })),
    wraps: z.array(z.strictObject({ deg: z.number() })),
  }),
  run: ({ pulleys }) => beltPath(pulleys),
});
