import * as z from "zod";
import { circleOrder, passesOf, pointsOrder } from "../../core/fastening";
import { accept } from "../../core/quantity";
import { exactlyOne, finite, notNegative } from "../fields";
import { tool } from "../tool";

const order = z.array(z.number());

export const fastenOrderTool = tool({
  name: "fasten-order",
  purpose: "the order and the passes in which the screws of a joint are tightened",
  input: z
    .strictObject({
      bolts: z.number().int().gte(1).lte(1000).optional(),
      points: z
        .array(z.strictObject({ x: finite, y: finite }))
        .min(1)
        .max(400)
        .optional(),
      passes: z.number().int().gte(1).lte(100).default(3),
      torqueNm: notNegative.optional(),
    })
    .superRefine(exactlyOne(["bolts", "points"])),
  output: z.strictObject({
    order,
    passes: z.array(z.strictObject({ torqueNm: z.number().optional(), order })),
  }),
  run: ({ bolts, points, passes, torqueNm }) => {
    const sequence = points ? pointsOrder(points) : circleOrder(bolts ?? 0);
    return accept({ order: sequence, passes: passesOf(sequence, passes, torqueNm) });
  },
});
