import * as z from "zod";
import { shaftStack } from "../../core/stacks";
import { finite, notNegative, ordered, positive } from "../fields";
import { tool } from "../tool";
import { stockShape } from "./shim-stack";

const spacers = z.array(z.strictObject({ widthMm: z.number(), count: z.number() }));

const item = z.strictObject({
  id: z.string().min(1).max(80),
  widthMm: positive,
  planeAtMm: finite.optional(),
  planeMm: finite.default(0),
  toleranceMm: notNegative.default(0.1),
});

export const shaftStackTool = tool({
  name: "shaft-stack",
  purpose:
    "the spacers between the parts on a shaft that put every working plane where it must stand and leave the end float",
  input: z.strictObject({
    lengthMm: positive,
    items: z.array(item).max(100).superRefine(eachOnce),
    spacers: z.array(z.strictObject({ widthMm: positive, ...stockShape })).max(200),
    endFloat: z.strictObject({ loMm: finite, hiMm: finite }).superRefine(ordered("loMm", "hiMm")),
  }),
  output: z.strictObject({
    feasible: z.boolean(),
    gaps: z.array(z.strictObject({ after: z.string(), spacers, totalMm: z.number() })),
    planes: z.array(z.strictObject({ id: z.string(), atMm: z.number(), errorMm: z.number() })),
    endFloatMm: z.number(),
  }),
  run: (input) => shaftStack(input),
});

/** The answer names gaps and planes by id: each item has its own, and none is the left face. */
function eachOnce(items: readonly { id: string }[], context: z.RefinementCtx): void {
  items.forEach(({ id }, index) => {
    if (id !== "left-face" && items.findIndex((other) => other.id === id) === index) return;
    context.addIssue({
      code: "custom",
      params: { code: "id-twice" },
      message: "every item needs an id of its own",
      path: [index, "id"],
    });
  });
}
