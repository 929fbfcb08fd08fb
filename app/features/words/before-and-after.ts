import type { Reader } from "~/app/features/words/reader";
import {
  feltOfStage,
  gearsByThemselves,
  isRead,
  type JobRecord,
  type ReadSoFar,
  type RoundResult,
} from "~/core/logbook";
import type { Stage } from "~/core/records";
import { inGear } from "~/operations/stage-as-read";
import type { GaugeRow } from "~/ui/band-gauge/before-after";
import { capital } from "./count";
import { readWords } from "./entry";
import { feltState, feltWords } from "./feel";
import { placeOf, stageUnit } from "./quantity";
import { stateOfVerdict } from "./state";

type Read = ReadSoFar & Pick<JobRecord, "firstBuild">;

/** The stage, and of a switchable one each gear that was read, with what a job read of it. */
export function meshesRead(stage: Stage, record: JobRecord): { gear: string | null; stage: Stage; read: Read }[] {
  const { firstBuild } = record;
  const apart = gearsByThemselves(record, stage.geometry.element);
  const gears = record.gears.filter((read) => isRead(read) || apart.includes(read));
  if (gears.length === 0) return [{ gear: null, stage, read: record }];
  return gears.map((read) => ({ gear: read.gear, stage: inGear(stage, read.gear), read: { ...read, firstBuild } }));
}

/** What a job found on a stage and what it left, each with its figures, or with why there are none. */
export function beforeAndAfter(reader: Reader, stage: Stage, record: Read): GaugeRow[] {
  const asLeft = record.changedSinceRound ? null : (record.lastRound?.body.result ?? null);
  const leftByFeel = !asLeft && !record.changedSinceFeel ? record.lastFeel : null;
  const found = record.asFound?.body.result ?? null;
  const missing = record.lastRound || record.lastFeel ? "not read since the last move or clamp" : "not read";
  return [
    ...(record.firstBuild ? [] : [row(reader, "As found", found, record.feltAsFound, stage, "not read")]),
    row(reader, "As left", asLeft, leftByFeel, stage, missing),
  ];
}

/** Where the last round of a job is tightest, and how sure its figures are; empty where nothing was measured. */
export function tightestWords(
  reader: Reader,
  { geometry: { element } }: Stage,
  { asFound, lastRound }: ReadSoFar,
): string {
  const result = (lastRound ?? asFound)?.body.result;
  if (!result) return "";
  const { said } = stageUnit(reader, element);
  return `Tightest at ${placeOf(element, result.tightTooth ?? 1)}; each reading ±${said(result.expandedUncertainty, 1)} (k = 2).`;
}

function row(
  reader: Reader,
  name: string,
  result: RoundResult | null,
  felt: JobRecord["lastFeel"],
  stage: Stage,
  missing: string,
): GaugeRow {
  if (result)
    return {
      name,
      span: { min: result.min, max: result.max },
      state: stateOfVerdict(result.verdict),
      words: `${readWords(reader, result)}${result.carriedFrom ? ", carried over" : ""}`,
    };
  const judged = felt && feltOfStage(felt, stage.geometry);
  if (judged) return { name, span: null, state: feltState[judged.verdict], words: capital(feltWords(judged)) };
  return { name, span: null, state: "unknown", words: missing };
}
