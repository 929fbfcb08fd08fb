import * as z from "zod";
import {
  type Bodies,
  type Entry,
  type JobRecord,
  lastGoodRun,
  runDirections,
  runFigures,
  runOutcomes,
  runSpeeds,
  runWays,
} from "../../core/logbook";
import { isAtSupplyLimit, judgeRun, type PlanRun, type ProofPlan, runMoves, wayOf } from "../../core/proving";
import { accept, type Dimension, parseQuantity, type Result, refuse } from "../../core/quantity";
import type { StageElement, StageTurns } from "../../core/stages";
import { id, text, words } from "../input";
import { runMore, runMoreInput } from "./run-more";

export const proofInput = z.object({
  kind: z.literal("proof"),
  way: z.enum(runWays),
  outcome: z.enum(runOutcomes),
  direction: z.enum(runDirections).nullable(),
  speed: z.enum(runSpeeds).nullable(),
  current: text(40).trim(),
  temperature: text(40).trim(),
  noise: text(400).trim(),
  /** Which gear of a switchable one. */
  gear: words(40).optional(),
  /** Of an axis: what is left to the buffer where its switch stopped it, and how far a step goes beyond its aim. */
  leftToBuffer: text(40).trim().optional(),
  overshoot: text(40).trim().optional(),
  guidesLubricated: z.boolean().optional(),
  move: z.enum(runMoves).optional(),
  /** A run of a plan: it says how, which way, how fast and in which gear. */
  planned: id.optional(),
  ...runMoreInput,
});

/** What a run is held against: the plans of its stage, earlier runs of it, what its train gives. */
export type BeforeRun = { plans: readonly ProofPlan[]; proofs: readonly Entry[]; turns: StageTurns | null };
type Input = z.output<typeof proofInput>;

/**
 * One run and how it ended: under power only while the machine is live, by hand only while it is isolated. What was not measured stays null;
 * of a run that went well something must have been noted. A run of a plan is judged by it here.
 */
export function buildProof(
  input: Input,
  power: JobRecord["power"],
  element: StageElement,
  before: BeforeRun,
): Result<Bodies["proof"]> {
  const planned = input.planned === undefined ? null : plannedRun(input.planned, before.plans);
  if (input.planned !== undefined && !planned) return refuse("no-such-run", ["planned"]);
  const how = planned ? asPlanned(planned.run) : asSaid(input);
  if (how.way === "powered" && power?.state !== "live") return refuse("not-live", ["way"]);
  if (how.way === "by-hand" && power?.state !== "isolated") return refuse("not-isolated", ["way"]);
  const current = measured(input.current, "current", "A", "current");
  if (!current.ok) return current;
  const temperature = measured(input.temperature, "temperature", "C", "temperature");
  if (!temperature.ok) return temperature;
  const axis = ofAxis(input, element);
  if (!axis.ok) return axis;
  const more = runMore(input, {
    gear: how.gear ?? null,
    turns: before.turns?.outputs ?? [],
    motorRpm: motorRpm(planned?.plan ?? null, how.speed, before.turns),
  });
  if (!more.ok) return more;
  const { load = planned?.run.load ?? undefined, ...read } = more.value;
  const body: Bodies["proof"] = {
    ...how,
    outcome: input.outcome,
    currentA: current.value,
    temperatureC: temperature.value,
    noise: input.noise,
    ...(load ? { load } : {}),
    ...read,
    ...(axis.value ? { axis: axis.value } : {}),
  };
  const nothing = runFigures(body).length === 0 && input.noise === "" && !body.heard && !body.speedRead;
  if (input.outcome === "ran" && nothing && (axis.value?.leftToBuffer ?? null) === null)
    return refuse("nothing-noted", ["noise"]);
  const atLimit =
    input.atSupplyLimit === true ||
    (planned !== null && isAtSupplyLimit(planned.plan, [body.currentA, body.peakA ?? null]));
  if (atLimit) body.atSupplyLimit = true;
  if (!planned) return accept(body);
  const { plan, run } = planned;
  const last = lastGoodRun(before.proofs, run.id);
  const judged = judgeRun(plan, run, runFigures(body), last && runFigures(last.body), atLimit);
  return accept({
    ...body,
    planned: { runId: run.id, revisionId: plan.id, name: run.name },
    ...(judged.each.length > 0 ? { judged } : {}),
  });
}

type How = Pick<Bodies["proof"], "way" | "direction" | "speed" | "gear" | "move">;

const asPlanned = ({ move, direction, speed, gear }: PlanRun): How => ({
  way: wayOf(move),
  direction,
  speed,
  ...(gear === null ? {} : { gear }),
  move,
});

const asSaid = ({ way, direction, speed, gear, move }: Input): How => ({
  way,
  direction,
  speed,
  ...(gear ? { gear } : {}),
  ...(move ? { move } : {}),
});

function plannedRun(runId: string, plans: readonly ProofPlan[]): { plan: ProofPlan; run: PlanRun } | null {
  for (const plan of plans) {
    const run = plan.runs.find((one) => one.id === runId);
    if (run) return { plan, run };
  }
  return null;
}

/** What the motor turns at: by the plan; as the drive line has it only where it runs at its working speed. */
export const motorRpm = (
  plan: ProofPlan | null,
  speed: Bodies["proof"]["speed"],
  turns: StageTurns | null,
): number | null =>
  plan?.motorRpm?.[speed ?? "working"] ?? ((speed ?? "working") === "working" ? (turns?.sourceRpm ?? null) : null);

function ofAxis(input: Input, element: StageElement): Result<Bodies["proof"]["axis"] | null> {
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
