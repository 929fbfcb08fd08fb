import { data } from "react-router";
import { isId } from "~/app/session/is-id";
import { lastStack, pastMoves } from "~/core/logbook";
import type { Database } from "~/data/postgres";
import { movedBeforeJob } from "~/data/queries/adjuster-positions";
import { earlierProofs, recentStageWork } from "~/data/queries/entries";
import { instrumentsOfWorkshop } from "~/data/queries/instruments";
import { openJobs } from "~/data/queries/jobs";
import { machineById } from "~/data/queries/machines";
import { type Stage, stagesOfMachines } from "~/data/queries/stages";
import { standingsOfStages } from "~/data/queries/standings";
import { type Context, mayWork } from "~/operations/context";
import { roundsBefore } from "~/operations/record-entry";

const learntFrom = 40;
const mostMoves = 20;
const proofsShown = 6;

/** Everything that a job on a machine needs: so that a tablet which was there once can open and do one without the server. */
export async function loadKit({ pool, person, now }: Context, machineId: string) {
  const machine = isId(machineId) ? await machineById(pool, person.workshopId, machineId) : null;
  if (!machine) throw data({ code: "no-such-machine" }, { status: 404 });
  const [stages, instruments, jobs] = await Promise.all([
    stagesOfMachines(pool, [machine.id]),
    instrumentsOfWorkshop(pool, person.workshopId),
    openJobs(pool, [machine.id]),
  ]);
  const ids = stages.map((stage) => stage.id);
  const [before, standings] = await Promise.all([
    Promise.all(stages.map((stage) => stageBefore(pool, stage, null))),
    standingsOfStages(pool, ids),
  ]);
  return {
    machine,
    stages,
    instruments,
    jobs,
    before,
    standings,
    person: { id: person.id, name: person.name },
    mayWork: mayWork.includes(person.role),
    timeZone: person.timeZone,
    now: now.toISOString(),
  };
}

export type Kit = Awaited<ReturnType<typeof loadKit>>;

/** What is known of a stage from before a job: its moves, which teach the response, and its last powered runs. */
export async function stageBefore(pool: Database, stage: Stage, jobId: string | null) {
  const [work, proofs, known, moved] = await Promise.all([
    recentStageWork(pool, stage.id, learntFrom),
    earlierProofs(pool, stage.id, jobId ?? stage.id, proofsShown),
    roundsBefore(pool, stage, jobId),
    movedBeforeJob(pool, stage.adjuster.id, jobId),
  ]);
  const moves = pastMoves(
    work.filter((entry) => jobId === null || entry.jobId !== jobId),
    stage.adjuster.id,
    moved,
  );
  return { stageId: stage.id, moves: moves.slice(-mostMoves), moved, proofs, known, stack: lastStack(work, stage.id) };
}
