import { data } from "react-router";
import type { RunsBeside } from "~/app/features/job/entries/stage-before";
import { isId } from "~/app/session/is-id";
import { type Entry, lastGoodRun, lastStack, pastMoves } from "~/core/logbook";
import type { ProofPlan } from "~/core/proving";
import type { Stage } from "~/core/records";
import { gearsWithStops, stageTurns } from "~/core/stages";
import type { Database } from "~/data/postgres";
import { movedBeforeJob } from "~/data/queries/adjuster-positions";
import { earlierProofsOf, lastRevised, partsLeftOff, recentWorkOf, twinRuns } from "~/data/queries/entries";
import { guidesOfMachine } from "~/data/queries/guides";
import { instrumentsOfWorkshop } from "~/data/queries/instruments";
import { openJobs } from "~/data/queries/jobs";
import { machineById } from "~/data/queries/machines";
import { machineShafts } from "~/data/queries/shafts";
import { someStagesOfMachine, stagesById } from "~/data/queries/stages";
import { standingsOfStages } from "~/data/queries/standings";
import { type Context, mayWork } from "~/operations/context";
import { machineLine } from "~/operations/machine-line";
import { lookBack, roundsBefore, runsLookedAt } from "~/operations/record-entry";

const learntFrom = 40;
const mostMoves = 20;
/** The last runs of a stage, whatever they were. */
const proofsShown = 6;
/** Of each twin, and of the parts that were in before. */
const runsOfTwin = 8;
/** Stages of a machine that a tablet keeps for working without the server: the first of its drive line. */
const mostInKit = 120;

/**
 * Everything that a job on a machine needs: so that a tablet which was there once can open and do one without the server.
 *
 * @param wanted a stage that has to be in it, wherever it stands in the drive line
 */
export async function loadKit({ pool, person, now }: Context, machineId: string, wanted: string | null = null) {
  const machine = isId(machineId) ? await machineById(pool, person.workshopId, machineId) : null;
  if (!machine) throw data({ code: "no-such-machine" }, { status: 404 });
  const [first, asked, instruments, jobs] = await Promise.all([
    someStagesOfMachine(pool, machine.id, 0, mostInKit),
    wanted && isId(wanted) ? stagesById(pool, [wanted]) : [],
    instrumentsOfWorkshop(pool, person.workshopId),
    openJobs(pool, [machine.id]),
  ]);
  const more = asked.filter((stage) => stage.machineId === machine.id && !stage.retiredAt);
  const stages = [...first, ...more.filter(({ id }) => !first.some((stage) => stage.id === id))];
  const ids = stages.map((stage) => stage.id);
  const [before, standings, leftOff, guides, shafts] = await Promise.all([
    stagesBefore(pool, stages, null),
    standingsOfStages(pool, ids),
    partsLeftOff(pool, machine.id, null),
    guidesOfMachine(pool, machine.id),
    machineShafts(pool, machine.id, null),
  ]);
  return {
    machine,
    stages,
    instruments,
    jobs,
    before,
    standings,
    leftOff,
    guides,
    shafts,
    person: { id: person.id, name: person.name },
    mayWork: mayWork.includes(person.role),
    now: now.toISOString(),
  };
}

type Whole = Awaited<ReturnType<typeof loadKit>>;
/** As loaded, or as an earlier release kept it on this tablet. */
export type Kit = Omit<Whole, "leftOff" | "guides" | "shafts"> & Partial<Pick<Whole, "leftOff" | "guides" | "shafts">>;

/** What is known of stages from before a job: their moves, which teach the response, and their last powered runs. Three questions for all of them. */
export async function stagesBefore(pool: Database, stages: readonly Stage[], jobId: string | null) {
  const ids = stages.map((stage) => stage.id);
  const [works, proofs, line, twins, revised, positions] = await Promise.all([
    recentWorkOf(pool, ids, learntFrom, lookBack),
    earlierProofsOf(pool, ids, jobId, runsLookedAt),
    stages[0] ? machineLine(pool, stages[0].machineId, stages) : null,
    twinRuns(pool, ids, runsOfTwin),
    lastRevised(pool, ids),
    movedBeforeJob(
      pool,
      stages.map(({ adjuster }) => adjuster.id),
      jobId,
    ),
  ]);
  return stages.map(({ id, adjuster, geometry, plans }) => {
    const work = works.get(id) ?? [];
    const moved = positions.get(adjuster.id) ?? 0;
    const earlier = work.filter((entry) => jobId === null || entry.jobId !== jobId);
    const moves = pastMoves(earlier, adjuster.id, moved);
    return {
      stageId: id,
      moves: moves.slice(-mostMoves),
      moved,
      beside: runsBesideStage(
        twins.filter(({ stageId }) => stageId === id),
        proofs.get(id) ?? [],
        revised.find(({ stageId }) => stageId === id)?.at ?? null,
      ),
      proofs: runsToCompare(proofs.get(id) ?? [], plans ?? []),
      turns: line && stageTurns(line.kept, line.stages, id),
      known: roundsBefore(work, id, jobId),
      stack: lastStack(work, id),
      stops: gearsWithStops(geometry.element).map(({ gear }) => ({
        gear,
        moves: pastMoves(earlier, adjuster.id, moved, gear).slice(-mostMoves),
        stack: lastStack(work, id, gear),
      })),
    };
  });
}

/** What other runs stand beside a stage's: its twins', and its own from before its parts were revised. */
function runsBesideStage(
  twins: readonly { twin: string; entry: Entry }[],
  proofs: readonly Entry[],
  revisedAt: string | null,
): RunsBeside[] {
  const names = [...new Set(twins.map(({ twin }) => twin))];
  const before = revisedAt === null ? [] : proofs.filter(({ madeAt }) => madeAt < revisedAt).slice(0, runsOfTwin);
  return [
    ...names.map((twin) => ({
      twin,
      revisedAt: null,
      proofs: twins.filter((one) => one.twin === twin).map(({ entry }) => entry),
    })),
    ...(before.length > 0 ? [{ twin: null, revisedAt, proofs: before }] : []),
  ];
}

/** The last runs, and of every run of a plan the last good one. */
function runsToCompare(proofs: readonly Entry[], plans: readonly ProofPlan[]): Entry[] {
  const good = plans.flatMap(({ runs }) => runs.flatMap((run) => lastGoodRun(proofs, run.id) ?? []));
  const wanted = new Set([...proofs.slice(0, proofsShown), ...good].map(({ id }) => id));
  return proofs.filter(({ id }) => wanted.has(id));
}
