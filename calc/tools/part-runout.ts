import * as z from "zod";
import { accept, refuse } from "../../core/quantity";
import { partRunout } from "../../core/shafts";
import { finite, notNegative, positive } from "../fields";
import { tool } from "../tool";

const round = z.array(finite).min(3).max(720);
const wobble = { eccentricityMm: z.number(), highAtDeg: z.number() };

export const partRunoutTool = tool({
  name: "part-runout",
  purpose: "runout of a part on its shaft, what of it is the part's own, and which way to turn it on the shaft",
  input: z.strictObject({
    radialMm: round,
    faceMm: round.optional(),
    faceDiameterMm: positive.optional(),
    shaftMm: round.optional(),
    limitMm: positive.optional(),
    expandedUncertaintyMm: notNegative.default(0),
  }),
  output: z.strictObject({
    radial: z.strictObject({ totalMm: z.number(), ...wobble }),
    face: z.strictObject({ totalMm: z.number(), tiltMmPerM: z.number(), highAtDeg: z.number() }).optional(),
    part: z.strictObject(wobble).optional(),
    turn: z.strictObject({ deg: z.number(), leavesTotalMm: z.number() }).optional(),
    verdict: z.enum(["conforms", "does-not-conform", "undecided"]).optional(),
  }),
  run: (question) => {
    if (question.faceMm && question.faceDiameterMm === undefined) return refuse("missing", ["faceDiameterMm"]);
    if (!question.faceMm && question.faceDiameterMm !== undefined) return refuse("missing", ["faceMm"]);
    return accept(partRunout(question));
  },
});
