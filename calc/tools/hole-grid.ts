import * as z from "zod";
import { accept } from "../../core/quantity";
import { holeGrid } from "../../core/trains";
import { both, finite, ordered, positive, toothCount } from "../fields";
import { tool } from "../tool";

const two = both(z.number());

export const holeGridTool = tool({
  name: "hole-grid",
  purpose: "which gears mesh on a square grid of holes, which through an idler, which not at all",
  input: z.strictObject({
    pitchMm: positive,
    moduleMm: positive,
    teeth: z.array(toothCount).min(1).max(200),
    maxHoles: z.number().int().gte(1).lte(100).default(8),
    band: z.strictObject({ loMm: finite, hiMm: finite }).superRefine(ordered("loMm", "hiMm")),
  }),
  output: z.strictObject({
    pairs: z.array(z.strictObject({ teeth: two, holes: two, centreDistanceMm: z.number(), clearanceMm: z.number() })),
    viaIdler: z.array(z.strictObject({ teeth: two, idler: z.number() })),
    unreachable: z.array(two),
  }),
  run: (input) => accept(holeGrid(input)),
});
