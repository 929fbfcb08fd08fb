import { demoProofs, runId } from "./proofs";
import type { Act } from "./visits";

const day = 86_400_000;

/** The plans, each as it was first kept. */
export const proofPlanActs = (now: Date): Act[] =>
  demoProofs.map((proof) => ({
    at: new Date(now.getTime() - proof.since * day),
    operation: "keep-proof-plan" as const,
    input: {
      entryId: `${proof.stage}-plan-kept`,
      revisionId: `${proof.stage}-plan`,
      machineId: proof.machine,
      stageId: proof.stage,
      seenRevision: 0,
      text: proof.why,
      plan: {
        runs: proof.rows.map((row) => ({ move: "run", ...row, id: runId(proof, row.id) })),
        limits: proof.limits,
        meters: proof.meters ?? [],
        asymmetryPercent: proof.asymmetryPercent ?? null,
      },
    },
  }));
