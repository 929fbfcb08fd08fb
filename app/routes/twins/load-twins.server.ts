import { data } from "react-router";
import { learnStage } from "~/app/features/job/entries/learn-stage";
import { isId } from "~/app/session/is-id";
import { fleetDrift, gearOfTrend, isKind, pastMoves, reachesIn, stageTrend, voidedBy } from "~/core/logbook";
import type { Machine, Stage } from "~/core/records";
import { movedBeforeJob } from "~/data/queries/adjuster-positions";
import { proofsOf, readingsOf, stageHistory } from "~/data/queries/entries";
import { machineWithStage, twinsOf } from "~/data/queries/machines";
import { stageById, stagesOfMachines } from "~/data/queries/stages";
import { standingsOfStages } from "~/data/queries/standings";
import type { Context } from "~/operations/context";
import { inGear } from "~/operations/stage-as-read";

/** Rounds that a trend looks back on, and those that teach a response. */
const trendRounds = 60;
const learntFrom = { rounds: 12, moves: 20 };
const runsShown = 12;

const noSuchStage = () => data({ code: "no-such-stage" }, { status: 404 });

/** The like stage of a twin: of the same kind, under the same name. */
export const likeStage = (stage: Stage, others: readonly Stage[], machineId: string): Stage | undefined =>
  others.find(
    (other) =>
      other.machineId === machineId &&
      other.geometry.element.kind === stage.geometry.element.kind &&
      other.name.trim().toLowerCase() === stage.name.trim().toLowerCase(),
  );

/** A stage beside the like stages of its machine's twins: how each stands, drifts, answers its adjuster and runs; and what all of them say of this one. */
export async function loadTwins({ pool, person, now }: Context, stageId: string) {
  if (!isId(stageId)) throw noSuchStage();
  const [machine, stage] = await Promise.all([
    machineWithStage(pool, person.workshopId, stageId),
    stageById(pool, stageId),
  ]);
  if (!machine || !stage) throw noSuchStage();
  const twins = await twinsOf(pool, machine);
  const stages = await stagesOfMachines(
    pool,
    twins.map(({ id }) => id),
  );
  const like = twins.flatMap((twin) => {
    const found = likeStage(stage, stages, twin.id);
    return found ? [{ machine: twin, stage: found }] : [];
  });
  const rows = [];
  for (const one of [{ machine, stage }, ...like]) rows.push(await oneStage(pool, one));
  const [own] = rows;
  const fleet = { lo: fleetDrift(drifts(rows, "tightest")), hi: fleetDrift(drifts(rows, "loosest")) };
  const limits = own?.limits;
  const last = own?.judged;
  const ahead =
    limits && last
      ? [
          { limit: "lo" as const, in: fleet.lo && reachesIn(last.least, limits.lo, fleet.lo) },
          { limit: "hi" as const, in: fleet.hi && reachesIn(last.greatest, limits.hi, fleet.hi) },
        ]
          .flatMap(({ limit, in: days }) => (days ? [{ limit, ...days }] : []))
          .sort((a, b) => a.at - b.at)[0]
      : undefined;
  return {
    stage,
    machine,
    rows,
    without: twins.filter(({ id }) => !like.some((one) => one.machine.id === id)).map(({ name }) => name),
    fleet,
    ahead: ahead && own?.readAt ? { ...ahead, from: own.readAt } : null,
    now: now.toISOString(),
  };
}

type Row = Awaited<ReturnType<typeof oneStage>>;

const drifts = (rows: readonly Row[], line: "tightest" | "loosest") =>
  rows.flatMap(({ trend }) => (trend ? [trend[line]] : []));

async function oneStage(pool: Context["pool"], { machine, stage }: { machine: Machine; stage: Stage }) {
  const [history, [standing], proofs] = await Promise.all([
    stageHistory(pool, stage.id, trendRounds),
    standingsOfStages(pool, [stage.id]),
    proofsOf(pool, stage.id, runsShown),
  ]);
  const voided = voidedBy(history);
  const counting = history.filter(({ id }) => !voided.has(id));
  const rounds = counting.filter(isKind("round")).slice(-learntFrom.rounds);
  const [readings, moved] = await Promise.all([
    readingsOf(
      pool,
      rounds.map(({ id }) => id),
    ),
    movedBeforeJob(pool, [stage.adjuster.id], null),
  ]);
  for (const round of rounds) round.readings = readings.get(round.id) ?? [];
  const moves = pastMoves(history, stage.adjuster.id, moved.get(stage.adjuster.id) ?? 0);
  const { limits } = inGear(stage, gearOfTrend(counting));
  const trend = stageTrend(counting, limits, "time");
  const gone = voidedBy(proofs);
  return {
    machine: { id: machine.id, name: machine.name, tag: machine.tag },
    stage,
    standing: standing ?? null,
    judged: standing?.judged ?? null,
    readAt: standing?.readAt ?? null,
    limits,
    trend: trend && { tightest: trend.tightest, loosest: trend.loosest, rounds: trend.points.length },
    learnt: learnStage(stage, moves.slice(-learntFrom.moves)),
    runs: proofs.filter(isKind("proof")).filter(({ id }) => !gone.has(id)),
  };
}
