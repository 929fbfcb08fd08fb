import * as z from "zod";
import { printFindings, printKinds, printMoves, readPrint } from "../../core/prints";
import { positive, pressureAngle } from "../fields";
import { tool } from "../tool";

const share = z.number().gte(0).lte(1);
const span = z.strictObject({ from: share, to: share });
const end = z.literal([0, 1]);

export const contactPrintTool = tool({
  name: "contact-print",
  purpose: "a contact print read: deep, high, at one end, crossed; which way to go and a first step",
  input: z.strictObject({
    kind: z.enum(printKinds),
    prints: z
      .array(
        z.strictObject({
          flank: z.enum(["drive", "coast"]),
          depth: span,
          length: span,
          diagonal: z.boolean().default(false),
        }),
      )
      .min(1)
      .max(2),
    wholeDepthMm: positive,
    faceWidthMm: positive.optional(),
    boltSpanMm: positive.optional(),
    filmMm: positive.default(0.01),
    pressureAngleDeg: pressureAngle,
    spiral: z.boolean().optional(),
  }),
  output: z.strictObject({
    ok: z.boolean(),
    findings: z.array(z.enum(printFindings)),
    moves: z.array(
      z.strictObject({
        what: z.enum(printMoves),
        amountMm: z.number().optional(),
        partAt: end.optional(),
        towards: end.optional(),
        mmPerMm: z.number().optional(),
        acrossFaceMm: z.number().optional(),
        shimMm: z.number().optional(),
      }),
    ),
  }),
  run: (question) => readPrint(question),
});
