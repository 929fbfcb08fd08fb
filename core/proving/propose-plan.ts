import type { ProofPlanFields } from "./schema";
import { runDirections } from "./vocabulary";

/** What a stage asks of its proof: its gears where it has several, whether a screw that only pushes hides a stall, whether it has ends. */
export type ToProve = { gears: readonly string[]; onlyPushes: boolean; hasEnds: boolean };

/**
 * Runs to begin a plan with: by hand all the way round first, then under power in every gear, both ways, slow and at working speed; one whole turn
 * watched for a stall where a screw only pushes. Common practice.
 *
 * @param newId an id for each run
 */
export function proposePlan({ gears, onlyPushes, hasEnds }: ToProve, newId: () => string): ProofPlanFields {
  const run = (of: Partial<ProofPlanFields["runs"][number]>): ProofPlanFields["runs"][number] => ({
    ...{ id: newId(), name: "", move: "run", direction: null, speed: null, gear: null },
    ...{ load: null, minutes: null, required: true },
    ...of,
  });
  const speeds = ["slow", "working"] as const;
  const inGear = gears.length > 0 ? gears : [null];
  return {
    runs: [
      run({ move: "hand-turn" }),
      ...(onlyPushes ? [run({ move: "full-turn", speed: "slow" })] : []),
      ...inGear.flatMap((gear) =>
        speeds.flatMap((speed) => runDirections.map((direction) => run({ gear, speed, direction }))),
      ),
      ...(hasEnds ? [run({ move: "step", speed: "working", required: false })] : []),
    ],
    limits: [],
    meters: [],
    supplyLimitA: null,
    asymmetryPercent: null,
    motorRpm: null,
  };
}
