import * as z from "zod";
import { thermalMesh } from "../../core/gears";
import { refuse } from "../../core/quantity";
import { both, finite, onePitch, pairGeometry, pairShape } from "../fields";
import { tool } from "../tool";

export const thermalMeshTool = tool({
  name: "thermal-mesh",
  purpose: "what warming does to centre distance and backlash",
  input: z
    .strictObject({
      ...pairShape,
      housingPerK: finite,
      gearPerK: both(finite),
      fromC: finite,
      toC: finite.optional(),
      housingToC: finite.optional(),
      gearToC: both(finite).optional(),
    })
    .superRefine(onePitch),
  output: z.strictObject({ centreDistanceChangeMm: z.number(), backlashChangeMm: z.number(), backlashMm: z.number() }),
  run: ({ housingPerK, gearPerK, fromC, toC, housingToC, gearToC, ...pair }) => {
    const apart = housingToC !== undefined || gearToC !== undefined;
    if ((toC !== undefined) === apart) return refuse(apart ? "one-of-doubled" : "one-of-missing", ["toC"]);
    const housing = toC ?? housingToC;
    const gears = gearToC ?? (toC === undefined ? undefined : ([toC, toC] as const));
    if (housing === undefined) return refuse("missing", ["housingToC"]);
    if (gears === undefined) return refuse("missing", ["gearToC"]);
    return thermalMesh(pairGeometry(pair), housingPerK, gearPerK, housing - fromC, [
      gears[0] - fromC,
      gears[1] - fromC,
    ]);
  },
});
