import * as z from "zod";
import { classWindow, fitOf } from "../../core/limits";
import { accept, refuse } from "../../core/quantity";
import { holeClasses, largestNominalMm, shaftClasses } from "../../core/reference";
import { both, exactlyOne, finite } from "../fields";
import { tool } from "../tool";

const window = both(finite)
  .refine(([lo, hi]) => lo <= hi, {
    path: [0],
    params: { code: "window-upside-down" },
    error: "lies above the upper one",
  })
  .optional();
const two = both(z.number());

export const fitTool = tool({
  name: "fit",
  purpose: "clearance of a hole and a shaft, by ISO 286 class or by measured window",
  input: z
    .strictObject({
      holeMm: window,
      holeClass: z.enum(holeClasses).optional(),
      shaftMm: window,
      shaftClass: z.enum(shaftClasses).optional(),
      nominalMm: z.number().gt(0).lte(largestNominalMm).optional(),
    })
    .superRefine(exactlyOne(["holeMm", "holeClass"]))
    .superRefine(exactlyOne(["shaftMm", "shaftClass"])),
  output: z.strictObject({
    clearanceMm: two,
    kind: z.enum(["clearance", "transition", "interference"]),
    holeMm: two,
    shaftMm: two,
  }),
  run: ({ holeMm, holeClass, shaftMm, shaftClass, nominalMm }) => {
    if ((holeClass || shaftClass) && nominalMm === undefined) return refuse("missing", ["nominalMm"]);
    const nominal = nominalMm ?? Number.NaN;
    const hole = holeClass ? classWindow(holeClass, nominal) : (holeMm ?? [0, 0]);
    const shaft = shaftClass ? classWindow(shaftClass, nominal) : (shaftMm ?? [0, 0]);
    return accept(fitOf(hole, shaft));
  },
});
