import * as z from "zod";
import { type StrandQuantity, strandQuantities, strands } from "../../core/belts";
import { strandsLimitPercent, strandsVerdict } from "../../core/limits";
import { accept } from "../../core/quantity";
import { exactlyOne, id, idsOnce, notNegative, positive } from "../fields";
import { tool } from "../tool";

const strand = z
  .strictObject({
    id,
    tensionN: notNegative.optional(),
    frequencyHz: notNegative.optional(),
    sagMm: positive.optional(),
  })
  .superRefine(exactlyOne(strandQuantities));
type StrandGiven = z.output<typeof strand>;

const readAs = (one: StrandGiven): StrandQuantity =>
  strandQuantities.find((quantity) => one[quantity] !== undefined) ?? "tensionN";

export const strandsTool = tool({
  name: "strands",
  purpose: "how parallel belts, cords or chains share their load, and what each must change",
  input: z
    .strictObject({
      strands: z
        .array(strand)
        .min(2)
        .max(1000)
        .superRefine((list, context) => {
          idsOnce(list, context);
          const [first] = list;
          for (const [i, one] of list.entries()) {
            if (!first || readAs(one) === readAs(first)) continue;
            context.addIssue({
              code: "custom",
              params: { code: "not-of-this-form" },
              message: `the first was read as ${readAs(first)}`,
              path: [i, readAs(one)],
            });
          }
        }),
      spanMm: positive.optional(),
      massKgPerM: positive.optional(),
      stiffnessNPerMm: positive.optional(),
      limitPercent: positive.default(strandsLimitPercent),
      expandedUncertaintyPercent: notNegative.default(0),
    })
    .superRefine(({ spanMm, massKgPerM }, context) => {
      if ((spanMm === undefined) === (massKgPerM === undefined)) return;
      const path = [spanMm === undefined ? "spanMm" : "massKgPerM"];
      context.addIssue({ code: "custom", params: { code: "missing" }, message: "span and mass go together", path });
    }),
  output: z.strictObject({
    strands: z.array(
      z.strictObject({
        id: z.string(),
        share: z.number(),
        deviationPercent: z.number(),
        tensionN: z.number().optional(),
        changeN: z.number().optional(),
        takeUpMm: z.number().optional(),
      }),
    ),
    spreadPercent: z.number(),
    weakest: z.string(),
    overPulled: z.string(),
    aim: z.number(),
    verdict: z.enum(["conforms", "does-not-conform", "undecided"]),
  }),
  run: ({ strands: given, spanMm, massKgPerM, stiffnessNPerMm, limitPercent, expandedUncertaintyPercent }) => {
    const quantity = readAs(given[0] as StrandGiven);
    const shared = strands({
      stiffnessNPerMm,
      quantity,
      strands: given.map((one) => ({ id: one.id, value: one[quantity] as number })),
      span: spanMm === undefined || massKgPerM === undefined ? undefined : { spanMm, massKgPerM },
    });
    if (!shared.ok) return shared;
    const verdict = strandsVerdict(shared.value.strands, limitPercent, expandedUncertaintyPercent);
    return accept({ ...shared.value, verdict });
  },
});
