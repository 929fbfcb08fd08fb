import { z } from "zod";
import { centreChange, unitOf } from "../../core/advice";
import type { Bodies } from "../../core/logbook";
import { accept, type Result, refuse } from "../../core/quantity";
import type { StageAdjuster } from "../../data/queries/stages";
import { id, text } from "../input";

const finite = z.number().gte(-1e6).lte(1e6);
const reason = z.enum(["not-provable", "provisional", "tight-risk", "best-possible", "draw-back-by-hand"]);

export const moveInput = z.object({
  kind: z.literal("move"),
  amount: finite,
  did: z.enum(["so", "otherwise"]),
  advised: z
    .object({
      amount: finite,
      minMm: finite,
      maxMm: finite,
      atMm: finite.nullable(),
      standTooth: z.number().int().gte(1).nullable(),
    })
    .nullable(),
  reasons: z.array(reason).max(5),
  note: text(4000).trim(),
  /** The leaves with which it was set, where the adjuster has no scale. */
  feelerMm: z.array(z.number().gt(0).lte(100)).min(1).max(6).optional(),
  /** The revision of the adjuster that the amount is meant for. */
  adjusterId: id.optional(),
});

/** A move as it was made. One whose part was brought back by hand says nothing about the screw, so it teaches nothing. */
export function buildMove(
  input: z.output<typeof moveInput>,
  { adjuster, id: revision, name }: StageAdjuster,
): Result<Bodies["move"]> {
  if (input.amount === 0) return refuse("no-amount", ["amount"]);
  // An amount in the units of another adjuster would mean something else.
  if (input.adjusterId !== undefined && input.adjusterId !== revision)
    return refuse("adjuster-revised", ["amount"], { name });
  const change = centreChange(adjuster, input.amount);
  const byHand = adjuster.type === "screw" && adjuster.oneWay && !adjuster.springReturn && input.amount < 0;
  return accept({
    amount: input.amount,
    unit: unitOf(adjuster),
    direction: change > 0 ? "apart" : change < 0 ? "together" : "none",
    did: input.did,
    advised: input.advised,
    reasons: input.reasons,
    teaches: !byHand,
    note: input.note,
    ...(input.feelerMm ? { feelerMm: input.feelerMm } : {}),
  });
}
