import * as z from "zod";
import { gearPair, usableContactRatio } from "../../core/gears";
import { accept } from "../../core/quantity";
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
    usableContactRatio: z.number().optional(),
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
  run: (input) => {
    const geometry = pairGeometry(input);
    const pair = gearPair(geometry);
    if (!pair.ok || geometry.internal) return pair;
    return accept({ ...pair.value, usableContactRatio: usableContactRatio(geometry, pair.value) });
  },
});
