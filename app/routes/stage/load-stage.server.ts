import { data } from "react-router";
import { learnStage } from "~/app/features/job/entries/learn-stage";
import { openedStage } from "~/app/features/machine/shown-stage";
import { readerOf } from "~/app/features/words/reader";
import { isId } from "~/app/session/is-id";
import {
  closuresOf,
  type Entry,
  gearOfTrend,
  isKind,
  meterOf,
  pastMoves,
  stageTrend,
  type TrendAxis,
  tightAgainstCurrent,
  triedParts,
  voidedBy,
  wearLeft,
  wearLimitNow,
} from "~/core/logbook";
import { judgedBy } from "~/core/stages";
import { movedBeforeJob } from "~/data/queries/adjuster-positions";
import { closureWork, proofsOf, readingsOf, stageHistory, trialsOf, usageReadings } from "~/data/queries/entries";
import { instrumentById } from "~/data/queries/instruments";
import { openJobs } from "~/data/queries/jobs";
import { machineWithStage } from "~/data/queries/machines";
import { openPointsOf } from "~/data/queries/open-points";
import { limitsRevisions, stageById } from "~/data/queries/stages";
import { standingsOfStages } from "~/data/queries/standings";
import { type Context, mayWork } from "~/operations/context";
import { inGear } from "~/operations/stage-as-read";
import { partsOf, type RoundsAsked, roundChoice, twoRounds, withAllReadings } from "./two-rounds.server";

/** Rounds that the trend looks back on: two years of weekly ones. */
const trendRounds = 104;
/** Tries of parts that are looked back on. */
const mostTrials = 80;
/** Runs whose current stands beside the tightness. */
const mostProofs = 80;
/** Closures that a trend looks back on. */
const mostClosures = 60;
/** Readings of the meter that usage over time is worked out from. */
const meterReadings = 400;
/** Rounds and moves that the adjuster's response is learnt from. */
const learntFrom = { rounds: 12, moves: 20 };

/** Tightness beside the running current, once two jobs have both. */
function friction(counting: readonly Entry[], proofs: readonly Entry[]) {
  const voided = voidedBy(proofs);
  const found = tightAgainstCurrent([...counting, ...proofs.filter(({ id }) => !voided.has(id))]);
  return found.points.length > 1 ? found : null;
}

const noSuchStage = () => data({ code: "no-such-stage" }, { status: 404 });

/** A stage with its limits, two of its rounds, its trend and what its adjuster has taught. */
export async function loadStage(
  { pool, person, now }: Context,
  stageId: string,
  asked: RoundsAsked & { axis: TrendAxis },
) {
  if (!isId(stageId)) throw noSuchStage();
  const [machine, stage, history, limits, standings, trials, proofs, closed] = await Promise.all([
    machineWithStage(pool, person.workshopId, stageId),
    stageById(pool, stageId),
    stageHistory(pool, stageId, trendRounds),
    limitsRevisions(pool, stageId),
    standingsOfStages(pool, [stageId]),
    trialsOf(pool, stageId, mostTrials),
    proofsOf(pool, stageId, mostProofs),
    closureWork(pool, stageId, mostClosures),
  ]);
  if (!stage || !machine) throw noSuchStage();
  const voided = voidedBy(history);
  const counting = history.filter((entry) => !voided.has(entry.id));
  const { list, thin, full } = twoRounds(counting, asked);
  const worn = wearLimitNow(stage.geometry.element, stage);
  const read = [
    ...counting.filter(isKind("round")).slice(-learntFrom.rounds),
    ...partsOf(counting, thin),
    ...partsOf(counting, full),
  ];
  const [readings, moved, points, jobs, usage] = await Promise.all([
    readingsOf(pool, [...new Set(read.map(({ id }) => id))]),
    movedBeforeJob(pool, [stage.adjuster.id], null),
    openPointsOf(pool, [machine.id]),
    openJobs(pool, [machine.id]),
    asked.axis === "usage" || worn !== null ? usageReadings(pool, machine.id, meterReadings) : [],
  ]);
  for (const round of read) round.readings = readings.get(round.id) ?? [];
  const moves = pastMoves(history, stage.adjuster.id, moved.get(stage.adjuster.id) ?? 0);
  const instrumentId = full && withAllReadings(counting, full)?.readings[0]?.instrumentId;
  const meter = meterOf(usage);
  const reader = readerOf(person, machine);
  const trendLimits = inGear(stage, gearOfTrend(counting)).limits;
  return {
    stage,
    machine,
    standing: standings[0] ?? null,
    trend: stageTrend(counting, trendLimits, asked.axis, meter),
    trendLimits,
    tried: triedParts(trials),
    friction: judgedBy(stage.geometry.element) === "tension" ? friction(counting, proofs) : null,
    closures: closuresOf(closed),
    axis: asked.axis,
    wear: worn === null ? null : wearLeft(counting, worn, meter),
    rounds: {
      choices: list.map((round) => roundChoice(reader, round)),
      thin: withAllReadings(counting, thin),
      full: withAllReadings(counting, full),
      instrument: instrumentId ? await instrumentById(pool, person.workshopId, instrumentId) : null,
    },
    roundsRead: counting.filter((entry) => entry.kind === "round" && entry.body.phase !== "set").length,
    limits,
    learnt: learnStage(stage, moves.slice(-learntFrom.moves)),
    points: points.filter((point) => point.stageId === stage.id),
    opening:
      mayWork.includes(person.role) && stage.retiredAt === null
        ? openedStage(reader, { stage, standing: standings[0] ?? null })
        : null,
    job: jobs.find((job) => job.stageIds.includes(stage.id)) ?? null,
    mayEdit: person.role === "lead" && stage.retiredAt === null,
    mayWork: mayWork.includes(person.role) && stage.retiredAt === null,
    now: now.toISOString(),
  };
}
