import * as z from "zod";
import { swapPairs } from "../../core/gears";
import {
  both,
  finite,
  moduleOf,
  notNegative,
  onePitch,
  ordered,
  pairGeometry,
  pairShape,
  pitchShape,
  positive,
  toothCount,
} from "../fields";
import { tool } from "../tool";

const names = { driver: z.string(), driven: z.string() };
const newCount = toothCount.lte(500);

export const swapPairsTool = tool({
  name: "swap-pairs",
  purpose: "every other pair of gears that can stand in the place of a pair, and why the others cannot",
  input: z.strictObject({
    present: z.strictObject({ ...pairShape, centreDistanceMm: positive }).superRefine(onePitch),
    travel: z
      .strictObject({ partMm: notNegative.default(0), closeMm: notNegative.default(0) })
      .default({ partMm: 0, closeMm: 0 }),
    limits: z
      .strictObject({ loMm: notNegative, aimMm: finite.optional(), hiMm: finite })
      .superRefine(ordered("loMm", "hiMm")),
    gears: z
      .array(
        z
          .strictObject({
            id: z.string().min(1).max(200),
            teeth: toothCount,
            ...pitchShape,
            pressureAngleDeg: z.number().gt(0).lt(60).optional(),
            helixAngleDeg: z.number().gt(-60).lt(60).optional(),
            boreMm: positive.optional(),
            shift: finite.default(0),
            thinningMm: notNegative.default(0),
            count: z.number().int().gte(0).lte(1e9).default(1),
          })
          .superRefine(onePitch),
      )
      .max(2000)
      .optional(),
    newTeeth: z.strictObject({ from: newCount, to: newCount }).superRefine(ordered("from", "to")).optional(),
    driverBoreMm: positive.optional(),
    drivenBoreMm: positive.optional(),
    reversed: z.boolean().default(false),
    minContactRatio: notNegative.default(1),
    maxRejected: z.number().int().gte(0).lte(1_000_000).default(20),
  }),
  output: z.strictObject({
    feasible: z.boolean(),
    pairs: z.array(
      z.strictObject({
        ...names,
        teeth: both(z.number()),
        centreDistanceMm: z.number(),
        moveMm: z.number(),
        backlashMm: z.number(),
        ratio: z.number(),
        speedPercent: z.number(),
        torquePercent: z.number(),
        contactRatio: z.number(),
        usableContactRatio: z.number(),
        fits: z.boolean(),
      }),
    ),
    rejectedGears: z.array(
      z.strictObject({ id: z.string(), reason: z.enum(["module", "pressure-angle", "helix", "bore", "count"]) }),
    ),
    rejectedPairs: z.array(
      z.strictObject({
        ...names,
        reason: z.enum(["count", "needs-more-room", "too-loose", "tip-clearance", "contact-ratio"]),
        byMm: z.number().optional(),
      }),
    ),
    rejectedCount: z.number(),
  }),
  run: ({ present, gears, ...question }, done) =>
    swapPairs(
      {
        ...question,
        present: { ...pairGeometry(present), centreDistanceMm: present.centreDistanceMm },
        gears: (gears ?? []).map((gear) => ({ ...gear, moduleMm: moduleOf(gear) })),
        offered: gears !== undefined,
      },
      done,
    ),
});
