import { data } from "react-router";
import { nothingBefore } from "~/app/features/job/stage-before";
import { stagesBefore } from "~/app/routes/machine/load-kit.server";
import { isId } from "~/app/session/is-id";
import { wearLimitOf } from "~/core/chains";
import { meterOf, stageTrend, type TrendAxis, voidedBy, wearLeft } from "~/core/logbook";
import { judgedBy } from "~/core/stages";
import { roundsOfStage, stageHistory, usageReadings } from "~/data/queries/entries";
import { instrumentsOfWorkshop } from "~/data/queries/instruments";
import { openJobs } from "~/data/queries/jobs";
import { machineById } from "~/data/queries/machines";
import { openPointsOf } from "~/data/queries/open-points";
import { limitsRevisions, machineOfStage, type Stage, stageById } from "~/data/queries/stages";
import { standingsOfStages } from "~/data/queries/standings";
import { type Context, mayWork } from "~/operations/context";

/** Rounds that the trend looks back on: two years of weekly ones. */
const trendRounds = 104;
/** Readings of the meter that usage over time is worked out from. */
const meterReadings = 400;
const roundsToCompare = 24;

/** Of a chain: what its limits say, or what its sprockets do. */
function wearLimit({ geometry: { element }, limits, sideLimits }: Stage): number {
  if (judgedBy(element) === "elongation") return limits.hi;
  const given = sideLimits.find(({ quantity }) => quantity === "elongation")?.hi;
  return given ?? (element.kind === "chain" ? wearLimitOf(element.teeth) : 3);
}

/** A stage with its limits, its last rounds, its trend and what its adjuster has taught. */
export async function loadStage({ pool, person, now }: Context, stageId: string, axis: TrendAxis) {
  const machineId = isId(stageId) ? await machineOfStage(pool, person.workshopId, stageId) : null;
  const [stage, machine] = machineId
    ? await Promise.all([stageById(pool, stageId), machineById(pool, person.workshopId, machineId)])
    : [null, null];
  if (!stage || !machine) throw data({ code: "no-such-stage" }, { status: 404 });
  const [history, rounds, limits, before, instruments, standings, points, jobs, usage] = await Promise.all([
    stageHistory(pool, stage.id, trendRounds),
    roundsOfStage(pool, stage.id, roundsToCompare),
    limitsRevisions(pool, stage.id),
    stagesBefore(pool, [stage], null),
    instrumentsOfWorkshop(pool, person.workshopId),
    standingsOfStages(pool, [stage.id]),
    openPointsOf(pool, [machine.id]),
    openJobs(pool, [machine.id]),
    usageReadings(pool, machine.id, meterReadings),
  ]);
  const meter = meterOf(usage);
  const voided = voidedBy(history);
  const counting = history.filter((entry) => !voided.has(entry.id));
  return {
    stage,
    machine,
    standing: standings[0] ?? null,
    trend: stageTrend(counting, { lo: stage.limits.lo, hi: stage.limits.hi }, axis, meter),
    axis,
    wear: stage.geometry.element.kind === "chain" ? wearLeft(counting, wearLimit(stage), meter) : null,
    rounds: rounds.filter((round) => !voided.has(round.id)),
    roundsRead: counting.filter((entry) => entry.kind === "round" && entry.body.phase !== "set").length,
    limits,
    before: before[0] ?? nothingBefore(stage.id),
    instruments,
    points: points.filter((point) => point.stageId === stage.id),
    job: jobs.find((job) => job.stageIds.includes(stage.id)) ?? null,
    mayEdit: person.role === "lead" && stage.retiredAt === null,
    mayWork: mayWork.includes(person.role) && stage.retiredAt === null,
    timeZone: person.timeZone,
    now: now.toISOString(),
  };
}
