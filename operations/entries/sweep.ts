import * as z from "zod";
import { type Bodies, type JobRecord, sweepUnits } from "../../core/logbook";
import { accept, parseNumber, parseQuantity, type Result, refuse } from "../../core/quantity";
import type { Stage } from "../../core/records";
import { allowedRise, forceSweep, meterStep } from "../../core/shifting";
import { gearNames } from "../../core/stages";
import { text, words } from "../input";

const typed = text(40).trim();

export const sweepInput = z.object({
  kind: z.literal("sweep"),
  /** Of a switchable stage the gear that is held in. */
  gear: words(40).optional(),
  unit: z.enum(sweepUnits),
  /** The actuator's force or pressure in that unit, and the motor's current once it has settled. */
  points: z.array(z.object({ force: typed, current: typed })).max(100),
  allowedRisePercent: z.number().gte(0).lte(1000).default(allowedRise),
  /** One step of the meter, where anybody says it. */
  step: typed.optional(),
});

/** The force of the actuator raised in steps with the motor turning, and whether the current stays flat: then the stop carries the force. */
export function buildSweep(
  input: z.output<typeof sweepInput>,
  { geometry: { element } }: Stage,
  power: JobRecord["power"],
): Result<Bodies["sweep"]> {
  if (power?.state !== "live") return refuse("not-live", ["points"]);
  const gears = gearNames(element);
  if (input.gear !== undefined && !gears?.includes(input.gear))
    return refuse("no-such-gear", ["gear"], { gear: input.gear });
  if (input.points.length < 3) return refuse("too-few-readings", ["points"]);
  const points: { force: number; currentA: number }[] = [];
  for (const [i, point] of input.points.entries()) {
    const force = input.unit === "N" ? forceIn(point.force) : parseNumber(point.force);
    if (!force.ok) return refuse(force.refusal.code, ["points", i, "force"], force.refusal.facts);
    if (force.value < 0) return refuse("too-small", ["points", i, "force"]);
    const current = parseQuantity(point.current, "current", "A");
    if (!current.ok) return refuse(current.refusal.code, ["points", i, "current"], current.refusal.facts);
    if (current.value.value <= 0) return refuse("too-small", ["points", i, "current"]);
    points.push({ force: force.value, currentA: current.value.value });
  }
  const { allowedRisePercent, step = "" } = input;
  const currents = input.points.map(({ current }) => current);
  const said = meterStep(step, currents);
  if (!said.ok) return said;
  const resolutionA = said.value;
  const sweep = forceSweep(points, allowedRisePercent, resolutionA);
  if (!sweep.ok) return sweep;
  return accept({
    gear: input.gear ?? null,
    unit: input.unit,
    points,
    allowedRisePercent,
    resolutionA,
    resolutionSaid: step !== "",
    ...sweep.value,
  });
}

const forceIn = (text: string): Result<number> => {
  const parsed = parseQuantity(text, "force", "N");
  return parsed.ok ? accept(parsed.value.value) : parsed;
};
