import * as z from "zod";
import { type Bodies, type JobRecord, runDirections, runOutcomes, runSpeeds, runWays } from "../../core/logbook";
import { accept, type Dimension, parseQuantity, type Result, refuse } from "../../core/quantity";
import { text, words } from "../input";

export const proofInput = z.object({
  kind: z.literal("proof"),
  way: z.enum(runWays),
  outcome: z.enum(runOutcomes),
  direction: z.enum(runDirections),
  speed: z.enum(runSpeeds),
  current: text(40).trim(),
  temperature: text(40).trim(),
  noise: text(400).trim(),
  /** Which gear of a switchable one. */
  gear: words(40).optional(),
});

/**
 * One run and how it ended: under power only while the machine is live, by hand only while it is isolated. What was not measured stays null;
 * of a run that went well something must have been noted.
 */
export function buildProof(input: z.output<typeof proofInput>, power: JobRecord["power"]): Result<Bodies["proof"]> {
  if (input.way === "powered" && power?.state !== "live") return refuse("not-live", ["way"]);
  if (input.way === "by-hand" && power?.state !== "isolated") return refuse("not-isolated", ["way"]);
  const current = measured(input.current, "current", "A", "current");
  if (!current.ok) return current;
  const temperature = measured(input.temperature, "temperature", "C", "temperature");
  if (!temperature.ok) return temperature;
  if (input.outcome === "ran" && current.value === null && temperature.value === null && input.noise === "")
    return refuse("nothing-noted", ["noise"]);
  return accept({
    way: input.way,
    outcome: input.outcome,
    direction: input.direction,
    speed: input.speed,
    currentA: current.value,
    temperatureC: temperature.value,
    noise: input.noise,
    ...(input.gear ? { gear: input.gear } : {}),
  });
}

function measured(typed: string, dimension: Dimension, unit: string, field: string): Result<number | null> {
  if (typed === "") return accept(null);
  const parsed = parseQuantity(typed, dimension, unit);
  return parsed.ok ? accept(parsed.value.value) : refuse(parsed.refusal.code, [field], parsed.refusal.facts);
}
