import type { MeasuredTool } from "~/core/logbook";
import type { StoreItem } from "~/core/records";
import { type Stack, seatChoices, shimStack } from "~/core/stacks";
import { stockOf } from "../advise/drawer-items";

/** What is to be shimmed where, mm; below 0 that much comes out. */
export type ShimAsked = { at: string; mm: number };

type Feet = { front: { shimMm?: number }; rear: { shimMm?: number } };
type Output = { raiseMm?: readonly number[]; moves?: Feet };

const leastMm = 0.01;

/** What an answer asks to be shimmed, place by place. */
export function shimsAsked(tool: MeasuredTool, output: unknown): ShimAsked[] {
  const { raiseMm, moves } = output as Output;
  const asked: ShimAsked[] =
    tool === "flatness" || tool === "housing-line"
      ? (raiseMm ?? []).map((mm, i) => ({ at: `${tool === "flatness" ? "Point" : "Housing"} ${i + 1}`, mm }))
      : moves
        ? [
            { at: "Front feet", mm: moves.front.shimMm ?? 0 },
            { at: "Rear feet", mm: moves.rear.shimMm ?? 0 },
          ]
        : [];
  return asked.filter(({ mm }) => Math.abs(mm) >= leastMm);
}

export type ShimFound = ShimAsked & { stack: Stack | null };

/** Nearer than this no foot is shimmed (common practice). */
const withinMm = 0.03;
const mostPieces = 4;

/** From the drawers, place by place, each taking what the ones before it left; null: nothing there comes near. */
export function shimsFound(asked: readonly ShimAsked[], items: readonly StoreItem[]): ShimFound[] {
  const left = stockOf(items.filter(({ kind }) => kind === "shim")).map((shim) => ({ ...shim }));
  return asked.map((one) => {
    if (one.mm <= 0) return { ...one, stack: null };
    const found = shimStack({
      gapMm: one.mm,
      target: { loMm: -withinMm, aimMm: 0, hiMm: withinMm },
      stock: left,
      maxPieces: mostPieces,
      alternatives: 12,
    });
    // Fewest pieces first: what is nearer than a foot needs is no gain.
    const stack = found.ok && found.value.best ? (seatChoices(found.value)[0] ?? null) : null;
    for (const { thicknessMm, count } of stack?.shims ?? []) {
      const size = left.find((shim) => shim.thicknessMm === thicknessMm);
      if (size) size.count -= count;
    }
    return { ...one, stack: stack && stack.pieces > 0 ? stack : null };
  });
}
