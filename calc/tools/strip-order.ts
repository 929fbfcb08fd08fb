import * as z from "zod";
import { stripOrder } from "../../core/guides";
import { accept } from "../../core/quantity";
import { words } from "../../core/schemas";
import { tool } from "../tool";

const id = words(200);
const ids = z.array(id).max(2000).optional();

export const stripOrderTool = tool({
  name: "strip-order",
  purpose:
    "in which order parts go together and come off, what waits for itself in a ring, and what comes off to reach a part",
  input: z.strictObject({
    parts: z
      .array(z.strictObject({ id, after: ids, hides: ids, screws: z.number().int().gte(0).lte(1e6).default(0) }))
      .min(1)
      .max(2000),
    part: id.optional(),
  }),
  output: z.strictObject({
    feasible: z.boolean(),
    assembly: z.array(z.string()),
    strip: z.array(z.string()),
    conflicts: z.array(z.array(z.string())),
    screws: z.number(),
    before: z.array(z.string()).optional(),
    toReach: z.array(z.string()).optional(),
    screwsToReach: z.number().optional(),
  }),
  run: ({ parts, part }) => {
    const order = stripOrder(parts, part);
    if (!order.ok) return order;
    const { reach, ...all } = order.value;
    return accept({ ...all, ...reach });
  },
});
