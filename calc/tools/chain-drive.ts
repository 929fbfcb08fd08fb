import * as z from "zod";
import { chainDrive } from "../../core/chains";
import { both, exactlyOne, positive, toothCount } from "../fields";
import { tool } from "../tool";

const two = both(z.number());

export const chainDriveTool = tool({
  name: "chain-drive",
  purpose: "a chain over two sprockets: links, the even number above, centre distance, unevenness",
  input: z
    .strictObject({
      pitchMm: positive,
      teeth: both(toothCount),
      links: z.number().int().gte(1).lte(1_000_000).optional(),
      centreDistanceMm: positive.optional(),
    })
    .superRefine(exactlyOne<{ links?: unknown; centreDistanceMm?: unknown }>(["links", "centreDistanceMm"])),
  output: z.strictObject({
    feasible: z.boolean(),
    pitchDiameterMm: two,
    links: z.number(),
    linksEven: z.number(),
    centreDistanceMm: z.number().optional(),
    centreForEvenMm: z.number(),
    spanMm: z.number().optional(),
    chordalSpeedVariationPercent: two,
    ratio: z.number(),
  }),
  run: ({ links, centreDistanceMm, ...chain }) =>
    chainDrive(chain, links === undefined ? { centreDistanceMm: centreDistanceMm as number } : { links }),
});
