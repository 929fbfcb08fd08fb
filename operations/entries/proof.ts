import * as z from "zod";
import { type Bodies, type JobRecord, runDirections, runOutcomes, runSpeeds, runWays } from "../../core/logbook";
import { accept, type Dimension, parseQuantity, type Result, refuse } from "../../core/quantity";
import type { StageElement } from "../../core/stages";
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
  /** Of an axis: what is left to the buffer where its switch stopped it, and how far a step goes beyond its aim. */
  leftToBuffer: text(40).trim().optional(),
  overshoot: text(40).trim().optional(),
  guidesLubricated: z.boolean().optional(),
});

/**
 * One run and how it ended: under power only while the machine is live, by hand only while it is isolated. What was not measured stays null;
 * of a run that went well something must have been noted.
 */
export function buildProof(
  input: z.output<typeof proofInput>,
  power: JobRecord["power"],
  element: StageElement,
): Result<Bodies["proof"]> {
  if (input.way === "powered" && power?.state !== "live") return refuse("not-live", ["way"]);
  if (input.way === "by-hand" && power?.state !== "isolated") return refuse("not-isolated", ["way"]);
  const current = measured(input.current, "current", "A", "current");
  if (!current.ok) return current;
  const temperature = measured(input.temperature, "temperature", "C", "temperature");
  if (!temperature.ok) return temperature;
  const axis = ofAxis(input, element);
  if (!axis.ok) return axis;
  const read = [current.value, temperature.value, axis.value?.leftToBuffer ?? null, axis.value?.overshoot ?? null];
  if (input.outcome === "ran" && read.every((value) => value === null) && input.noise === "")
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
    ...(axis.value ? { axis: axis.value } : {}),
  });
}

function ofAxis(input: z.output<typeof proofInput>, element: StageElement): Result<Bodies["proof"]["axis"] | null> {
  if (element.kind !== "axis") return accept(null);
  const { unit } = element;
  const along = (field: "leftToBuffer" | "overshoot"): Result<number | null> => {
    const read = measured(input[field] ?? "", unit === "mm" ? "length" : "angle", unit, field);
    return read.ok && read.value !== null && read.value < 0 ? refuse("too-small", [field]) : read;
  };
  const [leftToBuffer, overshoot] = [along("leftToBuffer"), along("overshoot")];
  if (!leftToBuffer.ok) return leftToBuffer;
  if (!overshoot.ok) return overshoot;
  return accept({
    unit,
    leftToBuffer: leftToBuffer.value,
    overshoot: overshoot.value,
    guidesLubricated: input.guidesLubricated === true,
  });
}

function measured(typed: string, dimension: Dimension, unit: string, field: string): Result<number | null> {
  if (typed === "") return accept(null);
  const parsed = parseQuantity(typed, dimension, unit);
  return parsed.ok ? accept(parsed.value.value) : refuse(parsed.refusal.code, [field], parsed.refusal.facts);
}
