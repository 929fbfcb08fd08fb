import { notRound } from "~/app/features/kinds";
import { capital, countWords } from "~/app/features/words/count";
import { endWords } from "~/app/features/words/ends";
import { feltWords } from "~/app/features/words/feel";
import { noLimits } from "~/app/features/words/limit-words";
import { sideWords } from "~/app/features/words/quantity-names";
import type { Reader } from "~/app/features/words/reader";
import { dateWords, day } from "~/app/features/words/times";
import type { Standing } from "~/core/logbook";
import type { Stage } from "~/core/records";

type StageNow = {
  stage: Pick<Stage, "name"> & { geometry: Pick<Stage["geometry"], "element"> };
  standing: Standing | null;
};

/** Why a machine stands where it does in the list: its worst stage, in words; after it what else must not be forgotten. */
export function machineReasons(
  reader: Reader,
  stages: readonly StageNow[],
  points: number,
  now: string,
  upkeep: UpkeepFirst | null = null,
): string[] {
  if (stages.length === 0) return ["No stage is entered yet"];
  const worst = stageReason(reader, stages, now);
  const open = points > 0 ? [`${capital(countWords(points))} open ${points === 1 ? "point" : "points"}`] : [];
  const care =
    upkeep?.on && isDue(upkeep.on, now) ? [`${capital(upkeepName(upkeep))}: ${dayDue(reader, upkeep.on, now)}`] : [];
  const reasons = [...(worst === null ? [] : [worst]), ...care, ...open];
  return reasons.length > 0 ? reasons : ["Nothing to do"];
}

/** What of a machine's list of grease and looks is due first. */
export type UpkeepFirst = { on: string | null; what: string; kind: "grease" | "look" };

export const upkeepName = ({ kind, what }: UpkeepFirst): string =>
  `${kind === "grease" ? "grease of" : "look at"} ${what}`;

const dayMs = 86_400_000;
const daysTo = (date: string, now: string): number => (Date.parse(date) - Date.parse(now)) / dayMs;
/** A date counts as due a week before it comes. */
const isDue = (date: string, now: string): boolean => daysTo(date, now) <= 7;
const dayDue = (reader: Reader, date: string, now: string): string =>
  `${daysTo(date, now) < -1 ? "was due" : "due"} ${dateWords(reader, date)}`;

function stageReason(reader: Reader, stages: readonly StageNow[], now: string): string | null {
  const having = (state: Standing["state"]) => stages.find((item) => item.standing?.state === state);
  const outside = having("outside");
  if (outside) return outsideReason(outside);
  const near = having("near");
  if (near)
    return `${near.stage.name}: too near its limit to tell${near.standing?.drift ? `, ${driftWords(reader, near, now)}` : ""}`;
  const drifting = stages
    .filter((item) => item.standing?.drift)
    .sort((a, b) => (a.standing?.drift?.at ?? "").localeCompare(b.standing?.drift?.at ?? ""))[0];
  if (drifting?.standing?.drift && Date.parse(drifting.standing.drift.at) < Date.parse(now) + soonMs)
    return `${drifting.stage.name}: ${driftWords(reader, drifting, now)}`;
  const unknown = stages.find((item) => !item.standing || item.standing.state === "unknown");
  return unknown ? `${unknown.stage.name}: ${unknownWords(unknown.standing)}` : null;
}

/** Why nothing is known of a stage: it never was read, something was moved since, it was felt at too few places, or nobody gave it limits. */
function unknownWords(standing: Standing | null): string {
  if (!standing?.readAt) return "never read";
  if (standing.changedSince) return "not read since it was moved";
  return standing.felt ? feltWords(standing.felt) : noLimits;
}

const soonMs = 60 * 86_400_000;

function outsideReason({ stage, standing }: StageNow): string {
  if (standing?.felt && !standing.because) return `${stage.name}: ${feltWords(standing.felt)}`;
  const result = standing?.result;
  if (standing?.because) return `${stage.name}: ${sideWords[standing.because].toLowerCase()} is outside its limits`;
  if (standing?.judged?.holds === "too-wide")
    return `${stage.name}: no setting can hold it, ${notRound(stage.geometry.element)}`;
  const above = standing?.judged?.beyond.hi ?? false;
  return `${stage.name}: ${endWords[result?.quantity ?? "backlash"][above ? "hi" : "lo"]}`;
}

/** "drifts out about 9 December", or that by its trend it already should have. */
function driftWords(reader: Reader, { standing }: StageNow, now: string): string {
  const drift = standing?.drift;
  if (!drift) return "";
  const which = endWords[standing.result?.quantity ?? "backlash"][drift.limit];
  // A day that has gone by is no forecast any more.
  if (Date.parse(drift.at) <= Date.parse(now))
    return `by its trend ${which} since ${undated(day(reader, drift.at), day(reader, now))}, read it now`;
  return `drifts out, ${which}, about ${undated(day(reader, drift.at), day(reader, now))}`;
}

/** A day without its year where that is this one's. */
const undated = (of: string, today: string): string => (of.slice(-5) === today.slice(-5) ? of.slice(0, -5) : of);

type Planned = { stage: Pick<Stage, "name">; standing: { nextDate: string | null } | null };

/** The earliest date that is due, where it has come or comes within a month. */
export function dueWords(
  reader: Reader,
  stages: readonly Planned[],
  now: string,
  upkeep: UpkeepFirst | null = null,
): string | null {
  const due = stages
    .flatMap(({ stage, standing }) => (standing?.nextDate ? [{ name: stage.name, date: standing.nextDate }] : []))
    .concat(upkeep?.on ? [{ name: upkeepName(upkeep), date: upkeep.on }] : [])
    .sort((a, b) => a.date.localeCompare(b.date))[0];
  if (!due || daysTo(due.date, now) > 30) return null;
  return `${capital(dayDue(reader, due.date, now))}, ${due.name.toLowerCase()}`;
}
