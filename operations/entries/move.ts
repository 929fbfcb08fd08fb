import * as z from "zod";
import { centreChange, exchange, type Pieces, reasonCodes, totalOf, unitOf } from "../../core/advice";
import type { Bodies } from "../../core/logbook";
import { accept, type Result, refuse } from "../../core/quantity";
import type { StageAdjuster } from "../../core/records";
import { id, text, words } from "../input";
import { takings } from "../takings";

const finite = z.number().gte(-1e6).lte(1e6);
const reason = z.enum(reasonCodes);

const laid = z.array(z.object({ thicknessMm: z.number().gt(0).lte(1000), count: z.int().gte(1).lte(100) })).max(40);

export const moveInput = z.object({
  kind: z.literal("move"),
  amount: finite,
  did: z.enum(["so", "otherwise"]),
  advised: z
    .object({
      amount: finite,
      min: finite,
      max: finite,
      at: finite.nullable(),
      standTooth: z.number().int().gte(1).nullable(),
    })
    .nullable(),
  reasons: z.array(reason).max(reasonCodes.length),
  note: text(4000).trim(),
  /** The leaves with which it was set, where the adjuster has no scale. */
  feelerMm: z.array(z.number().gt(0).lte(100)).min(1).max(6).optional(),
  /** Of a stage whose gears rest against stops of their own: the gear whose stop was changed. */
  gear: words(40).optional(),
  /** The revision of the adjuster that the amount is meant for. */
  adjusterId: id.optional(),
  /** The shims that lay in it and those that lie in it now; with the other side of the part where they were carried across. */
  stack: z.object({ was: laid, now: laid, other: z.object({ was: laid, now: laid }).optional() }).optional(),
  /** What was taken out of the stores for it (below 0), and put back. */
  stock: takings,
});

/** Whether pieces came from elsewhere, or went there, when they were only to be carried from one side to the other. */
function exchangedAcross(here: { was: Pieces; now: Pieces }, other: { was: Pieces; now: Pieces }): boolean {
  const { taken, returned } = exchange([...here.was, ...other.was], [...here.now, ...other.now]);
  return taken.length + returned.length > 0;
}

/** A move as it was made. One whose part was brought back by hand says nothing about the screw, so it teaches nothing. */
export function buildMove(
  input: z.output<typeof moveInput>,
  { adjuster, id: revision, name }: StageAdjuster,
): Result<Bodies["move"]> {
  if (!adjuster) return refuse("nothing-to-adjust", ["amount"]);
  if (input.amount === 0) return refuse("no-amount", ["amount"]);
  // An amount in the units of another adjuster would mean something else.
  if (input.adjusterId !== undefined && input.adjusterId !== revision)
    return refuse("adjuster-revised", ["amount"], { name });
  const { stack } = input;
  if (stack && Math.abs(totalOf(stack.now) - totalOf(stack.was) - input.amount) > 0.0015)
    return refuse("stack-is-not-the-move", ["stack"]);
  if (stack?.other && exchangedAcross(stack, stack.other)) return refuse("sides-do-not-add-up", ["stack"]);
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
    ...(input.gear ? { gear: input.gear } : {}),
    ...(input.feelerMm ? { feelerMm: input.feelerMm } : {}),
    ...(stack ? { stack } : {}),
  });
}
