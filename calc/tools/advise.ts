import * as z from "zod";
import { advise, canMove, type MoveStep, type ReasonCode, unitOf } from "../../core/advice";
import { adjusterSchema as adjusterLaw } from "../../core/advice/schema";
import { accept, refuse } from "../../core/quantity";
import { finite, notNegative, notZero, ordered, positive } from "../fields";
import { tool } from "../tool";

/** An adjuster that can move the centres at all. */
export const adjusterSchema = adjusterLaw.superRefine((adjuster, context) => {
  if (canMove(adjuster)) return;
  context.addIssue({
    code: "custom",
    params: { code: "cannot-move-the-centres" },
    message: "at this angle the adjuster moves square to the line of centres",
    path: ["angleDeg"],
  });
});

const expected = z.strictObject({ min: z.number(), max: z.number(), atAngle: z.number().optional() });

export const adviseTool = tool({
  name: "advise",
  purpose: "the next move: from readings, limits and an adjuster",
  input: z.strictObject({
    quantity: z.enum(["backlash", "tension", "sag", "clearance"]),
    readings: z
      .array(z.strictObject({ gearAngleDeg: finite.optional(), value: finite }))
      .min(1)
      .max(10_000),
    worst: z.strictObject({ min: finite, max: finite }).superRefine(ordered("min", "max")).optional(),
    limits: z.strictObject({ lo: finite, aim: finite.optional(), hi: finite }).superRefine(ordered("lo", "hi")),
    expandedUncertainty: notNegative,
    sensitivity: notZero,
    adjuster: adjusterSchema,
    response: z.strictObject({ perUnit: notZero, sd: positive }).optional(),
    school: z.enum(["centre-of-band", "tight-spot"]).default("centre-of-band"),
    tightRisk: z.number().gt(0).lt(1).default(0.005),
  }),
  output: z.strictObject({
    verdict: z.enum(["conforms", "does-not-conform", "undecided"]),
    feasible: z.boolean(),
    spread: z.number(),
    move: z
      .strictObject({
        amount: z.number(),
        unit: z.enum(["mm", "turns", "mm-at-lever", "deg", "mm-of-shim"]),
        direction: z.enum(["apart", "together", "none"]),
        centreDistanceChangeMm: z.number(),
      })
      .nullable(),
    predicted: expected,
    expectedUncertainty: z.number().optional(),
    atAngleDeg: z.number().optional(),
    steps: z.array(z.strictObject({ amount: z.number(), text: z.string() })),
    reasons: z.array(z.strictObject({ code: z.string(), text: z.string() })),
  }),
  run: (question) => {
    // A straight chain has no slack whose change could be told.
    if (question.quantity === "sag" && question.readings.every((reading) => reading.value <= 0))
      return refuse("no-sag", ["readings"]);
    const advice = advise(question);
    const unit = unitOf(question.adjuster).replaceAll("-", " ");
    return accept({
      ...advice,
      steps: advice.steps.map((step) => ({ amount: step.amount, text: stepText(step, unit) })),
      reasons: advice.reasons.map((code) => ({ code, text: reasonText[code] })),
    });
  },
});

function stepText({ amount, kind }: MoveStep, unit: string): string {
  const size = `${Number(Math.abs(amount).toPrecision(3))} ${unit}`;
  switch (kind) {
    case "set":
      return `Move ${amount < 0 ? "−" : ""}${size}, then read again.`;
    case "push":
      return `Push ${size}, then read again.`;
    case "slacken":
      return `Slacken ${size}: further than wanted, so that it ends pushing.`;
    case "draw-back":
      return "Bring the part back against the screw by hand; slackening alone moves nothing.";
  }
}

const reasonText: Record<ReasonCode, string> = {
  "not-provable": "The readings fit between the limits, but not with room for the uncertainty at both.",
  provisional: "No setting that can be reached holds every reading inside; the tight side is kept inside for now.",
  "tight-risk": "Any further push could end too tight, and the screw cannot go back.",
  "best-possible": "A further move would change less than the reading's uncertainty.",
  "guessed-stiffness": "The stiffness is a guess: a safe part of the way, then read again.",
  "draw-back-by-hand": "The screw can only push; the part has to be brought back by hand.",
};
