import { v5 } from "uuid";
import * as z from "zod";
import type { Bodies, ReadingRecord } from "../core/logbook";
import { accept, type Result, refuse } from "../core/quantity";
import { measuredQuantities } from "../core/stages";
import { transaction } from "../data/postgres";
import { paperDays } from "../data/queries/entries";
import { instrumentById } from "../data/queries/instruments";
import { lockHead } from "../data/queries/machines";
import { machineOfStage, stageById } from "../data/queries/stages";
import { alreadyThere, submissionOf } from "./already-there";
import { appendEntry } from "./append-entry";
import { type Context, checkRole, mayWork } from "./context";
import { dayIn } from "./day-in";
import { buildRound } from "./entries/round";
import { checkInput, id, text, words } from "./input";
import { movedWords, type PaperRound, readPaper } from "./paper-sheet";
import { refreshStanding } from "./refresh-standing";

const paperInput = z.object({
  id,
  stageId: id,
  sheet: z.string().max(400_000),
  instrumentId: id,
  quantity: z.enum(measuredQuantities),
  held: z.number().gt(0).lte(1e6).nullable().default(null),
  /** By whom, or where it was kept; a sheet that says it for a round goes before. */
  keptBy: words(80),
  /** What is known of the time between, where the sheet does not say. */
  movedAfter: z.enum(movedWords),
  gear: text(40).trim().default(""),
});

/**
 * Brings rounds in that were kept on paper: each day one entry, marked as such, judged by the stage as it is now. They tell of the trend and of
 * wear; how a stage stands, what its adjuster does and what a job goes on from is taken from what was read here alone. All of a sheet, or
 * nothing: a refusal names its line (`lines`, n, column).
 */
export async function importPaperRounds(
  { pool, person, now }: Context,
  input: unknown,
): Promise<Result<{ rounds: number; readings: number }>> {
  const allowed = checkRole(person, mayWork);
  if (!allowed.ok) return allowed;
  const checked = checkInput(paperInput, input);
  if (!checked.ok) return checked;
  const { value } = checked;
  const read = readPaper(value.sheet);
  if (!read.ok) return read;
  const rounds = read.value;
  const today = dayIn(now, person.timeZone);
  const ahead = rounds.find(({ date }) => date > today);
  if (ahead) return refuse("day-ahead", ["lines", ahead.readings[0]?.line ?? 1, "date"], { date: ahead.date });
  const submission = submissionOf(person.id, value);
  return transaction(pool, async (db): Promise<Result<{ rounds: number; readings: number }>> => {
    const machineId = await machineOfStage(db, person.workshopId, value.stageId);
    const stage = machineId && (await stageById(db, value.stageId));
    if (!machineId || !stage || stage.retiredAt) return refuse("no-such-stage", ["stageId"]);
    const instrument = await instrumentById(db, person.workshopId, value.instrumentId);
    if (!instrument) return refuse("no-such-instrument", ["instrumentId"]);
    const chain = await lockHead(db, machineId);
    const counts = { rounds: rounds.length, readings: rounds.reduce((sum, round) => sum + round.readings.length, 0) };
    const there = await alreadyThere(db, value.id, submission);
    if (there) return there.ok ? accept(counts) : there;
    const days = await paperDays(db, stage.id);
    // Each is looked at before the first is written: what was written before a refusal would stay.
    const bodies: Result<Built>[] = rounds.map((round) => {
      const line = round.readings[0]?.line ?? 1;
      if (days.includes(round.date)) return refuse("paper-there", ["lines", line, "date"], { date: round.date });
      const built = buildRound(
        {
          kind: "round",
          phase: "as-found",
          method: {
            ...{ instrumentId: instrument.id, quantity: value.quantity, held: value.held, temperatureC: null },
            ...{ indicatorRadiusMm: null, indicatorAngleDeg: 0, sense: "clockwise" },
            ...(value.gear ? { gear: value.gear } : {}),
          },
          readings: round.readings.map(({ line: _, ...reading }) => reading),
          continues: null,
          carries: false,
        },
        stage,
        instrument,
        null,
        false,
        null,
      );
      return built.ok ? accept({ round, built: built.value }) : atItsLine(built.refusal, round.readings);
    });
    const entries: Built[] = [];
    for (const body of bodies) {
      if (!body.ok) return body;
      entries.push(body.value);
    }
    for (const [i, { round, built }] of entries.entries()) {
      await appendEntry(db, chain, {
        id: i === 0 ? value.id : v5(round.date, value.id),
        machineId,
        stageId: stage.id,
        kind: "paper-round",
        body: {
          result: built.body.result,
          keptBy: round.keptBy || value.keptBy,
          movedAfter: round.movedAfter ?? value.movedAfter,
        },
        readings: built.readings,
        madeBy: person.id,
        ...(i === 0 ? { submission } : {}),
        // The day alone is known of it.
        madeAt: `${round.date}T12:00:00.000Z`,
        recordedAt: now,
        geometryId: stage.geometry.id,
        adjusterId: stage.adjuster.id,
        limitsId: stage.limits?.id ?? null,
      });
    }
    await refreshStanding(db, stage.id);
    return accept(counts);
  });
}

type Built = { round: PaperRound; built: { body: Bodies["round"]; readings: ReadingRecord[] } };

/** What was refused of a reading, at the line on which it stands. */
function atItsLine(
  { code, path, facts }: { code: Parameters<typeof refuse>[0]; path: readonly (string | number)[]; facts: object },
  readings: readonly { line: number }[],
): Result<never> {
  const [where, i, field] = path;
  const line = where === "readings" && typeof i === "number" ? readings[i]?.line : undefined;
  const at = line === undefined ? path : ["lines", line, field === "tooth" ? "place" : "value"];
  return { ok: false, refusal: { code, path: [...at], facts } as never };
}
