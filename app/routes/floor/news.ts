import type { StageState } from "~/app/features/stage/stage-state";
import type { StageStanding } from "~/data/queries/machines";
import type { Stage } from "~/data/queries/stages";

type StageNow = { stage: Stage; standing: StageStanding | null; state: StageState };

const words = ["no", "one", "two", "three", "four", "five", "six", "seven", "eight", "nine", "ten"];
const count = (n: number): string => words[n] ?? String(n);
const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);
const machines = (n: number, verb: [one: string, many: string]): string =>
  `${count(n)} ${n === 1 ? "machine" : "machines"} ${n === 1 ? verb[0] : verb[1]}`;

/** The headline: what needs somebody today. */
export function floorNews(rows: readonly { stages: readonly StageNow[] }[]): string {
  const having = (state: StageState) => rows.filter((row) => row.stages.some((stage) => stage.state === state)).length;
  const outside = having("outside");
  const near = rows.filter(
    (row) => row.stages.some((s) => s.state === "near") && !row.stages.some((s) => s.state === "outside"),
  ).length;
  const unknown = having("unknown");
  const parts = [
    outside > 0 ? machines(outside, ["is outside", "are outside"]) : "",
    near > 0 ? machines(near, ["is near the edge", "are near the edge"]) : "",
    outside === 0 && near === 0 && unknown > 0 ? machines(unknown, ["has to be read", "have to be read"]) : "",
  ].filter(Boolean);
  if (rows.length === 0) return "The floor is empty";
  return parts.length === 0 ? "Every stage is inside" : capital(parts.join(", "));
}

/** Why a machine stands where it does in the list: its worst stage, in words. */
export function machineReason(stages: readonly StageNow[]): string {
  const outside = stages.find((item) => item.state === "outside");
  if (outside) {
    const { stage, standing } = outside;
    if (standing?.result && !standing.result.fits)
      return `${stage.name}: no setting can hold it, the gear is not round`;
    const loose = (standing?.result?.maxMm ?? 0) > stage.limits.hiMm;
    const tight = (standing?.result?.minMm ?? 0) < stage.limits.loMm;
    return `${stage.name} is ${tight && loose ? "outside at both ends" : loose ? "too loose" : tight ? "too tight" : "outside over its hunting cycle"}`;
  }
  const near = stages.find((item) => item.state === "near");
  if (near) return `${near.stage.name} is too near its limit to tell`;
  const unknown = stages.find((item) => item.state === "unknown");
  if (unknown)
    return unknown.standing?.result
      ? `${unknown.stage.name} was not read since it was moved`
      : `${unknown.stage.name} was never read`;
  return "Nothing to do";
}
