import { z } from "zod";
import { gearPair } from "../../core/gears";
import { both, pairGeometry, pairSchema } from "../fields";
import { tool } from "../tool";

const two = both(z.number());

export const gearPairTool = tool({
  name: "gear-pair",
  purpose: "circles, contact, clearance and backlash of a pair at its centre distance",
  input: pairSchema,
  output: z.strictObject({
    moduleMm: z.number(),
    referenceDiameterMm: two,
    baseDiameterMm: two,
    tipDiameterMm: two,
    rootDiameterMm: two,
    workingPitchDiameterMm: two,
    referenceCentreDistanceMm: z.number(),
    zeroBacklashCentreDistanceMm: z.number(),
    centreDistanceMm: z.number(),
    workingPressureAngleDeg: z.number(),
    transverseContactRatio: z.number(),
    overlapRatio: z.number(),
    backlash: z.strictObject({
      circumferentialMm: z.number(),
      normalMm: z.number(),
      radialMm: z.number(),
      angularArcmin: two,
    }),
    backlashPerCentreMm: z.number(),
    tipClearanceMm: two,
    undercut: both(z.boolean()),
    ratio: z.number(),
  }),
  run: (input) => gearPair(pairGeometry(input)),
});
