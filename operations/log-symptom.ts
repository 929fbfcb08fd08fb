import * as z from "zod";
import type { Entry } from "../core/logbook";
import { accept, parseNumber, type Result, refuse } from "../core/quantity";
import { recurringParts } from "../core/stages";
import {
  causeCodes,
  suspectStates,
  symptomDirections,
  symptomKinds,
  symptomLoads,
  symptomPlaces,
  symptomSpeeds,
  symptomWarmths,
  testCodes,
} from "../core/symptoms";
import { transaction } from "../data/postgres";
import { entryById } from "../data/queries/entries";
import { jobById } from "../data/queries/jobs";
import { lockHead, machineById } from "../data/queries/machines";
import { ownRuleById } from "../data/queries/own-rules";
import { stageById } from "../data/queries/stages";
import { alreadyThere, submissionOf } from "./already-there";
import { appendEntry } from "./append-entry";
import { type Context, checkRole, mayWork } from "./context";
import { checkInput, id, text, words } from "./input";

const head = { id, machineId: id, jobId: id.nullable().default(null) };
const symptomInput = z.discriminatedUnion("kind", [
  z.object({
    kind: z.literal("symptom"),
    ...head,
    kinds: z.array(z.enum(symptomKinds)).max(symptomKinds.length),
    when: z.object({
      direction: z.enum(symptomDirections).nullable(),
      load: z.enum(symptomLoads).nullable(),
      warmth: z.enum(symptomWarmths).nullable(),
      place: z.enum(symptomPlaces).nullable(),
      speed: z.enum(symptomSpeeds).nullable(),
    }),
    words: text(400).trim(),
    /** As typed; empty: not timed. */
    perMinute: text(40).trim(),
    offPercent: text(40).trim(),
    taps: z.int().gte(1).lte(10_000).nullable().default(null),
    motorRpm: text(40).trim(),
    /** Timed again at another speed; empty: not. */
    againPerMinute: text(40).trim().default(""),
    againOffPercent: text(40).trim().default(""),
    againMotorRpm: text(40).trim().default(""),
  }),
  z.object({
    kind: z.literal("suspect"),
    ...head,
    names: id,
    key: words(120),
    /** null: of no stage, but what runs beside the drive, by its name. */
    stageId: id.nullable(),
    beside: text(60).trim().default(""),
    part: z.enum(recurringParts).nullable(),
    gear: text(40).nullable(),
    cause: z.enum(causeCodes).nullable(),
    /** The rule of the workshop's own that it was, of "own-rule". */
    ownRuleId: id.nullable().default(null),
    state: z.enum(suspectStates),
    test: z.enum(testCodes).nullable(),
    note: text(400).trim(),
  }),
]);
type Input = z.output<typeof symptomInput>;

/** What a rate that was typed may be off by, where nobody said, %. */
const usualOff = 5;

/** What a machine does that it should not, or what a test of one of its suspects came to; in a job that is open on it, or between jobs. */
export async function logSymptom({ pool, person, now }: Context, input: unknown): Promise<Result<Entry>> {
  const allowed = checkRole(person, mayWork);
  if (!allowed.ok) return allowed;
  const checked = checkInput(symptomInput, input);
  if (!checked.ok) return checked;
  const { value } = checked;
  const own =
    value.kind === "suspect" && value.ownRuleId ? await ownRuleById(pool, person.workshopId, value.ownRuleId) : null;
  if (value.kind === "suspect" && (value.cause === "own-rule") !== (own !== null))
    return refuse("no-such-rule", ["ownRuleId"]);
  if (value.kind === "suspect" && (value.stageId === null) !== (value.beside !== ""))
    return refuse("missing", [value.stageId === null ? "beside" : "stageId"]);
  const body = bodyOf(value, own?.says);
  if (!body.ok) return body;
  const submission = submissionOf(person.id, value);
  return transaction(pool, async (db): Promise<Result<Entry>> => {
    const machine = await machineById(db, person.workshopId, value.machineId);
    if (!machine) return refuse("no-such-machine", ["machineId"]);
    const chain = await lockHead(db, machine.id);
    const there = await alreadyThere(db, value.id, submission);
    if (there) return there;
    const job = value.jobId === null ? null : await jobById(db, person.workshopId, value.jobId);
    if (value.jobId !== null && job?.machineId !== machine.id) return refuse("no-such-job", ["jobId"]);
    if (job?.signedEntry) return refuse("job-signed", ["jobId"]);
    const names = value.kind === "suspect" ? await entryById(db, value.names) : null;
    if (value.kind === "suspect" && (names?.machineId !== machine.id || names.kind !== "symptom"))
      return refuse("no-such-entry", ["names"]);
    if (value.kind === "suspect" && value.stageId && (await stageById(db, value.stageId))?.machineId !== machine.id)
      return refuse("no-such-stage", ["stageId"]);
    return accept(
      await appendEntry(db, chain, {
        id: value.id,
        machineId: machine.id,
        jobId: value.jobId,
        stageId: value.kind === "suspect" ? value.stageId : null,
        kind: value.kind,
        body: body.value,
        namesEntry: names?.id ?? null,
        madeBy: person.id,
        submission,
        madeAt: now.toISOString(),
        recordedAt: now,
      }),
    );
  });
}

function bodyOf(value: Input, ownCause: string | undefined) {
  if (value.kind === "suspect") {
    const { key, stageId, beside, part, gear, cause, state, test, note } = value;
    const named = { ...(beside ? { beside } : {}), ...(ownCause ? { ownCause } : {}) };
    return accept({ key, stageId, part, gear, cause, ...named, state, test, note });
  }
  const { kinds, when, words: said, perMinute, offPercent, taps, motorRpm } = value;
  const heard = positive(perMinute, "perMinute");
  if (!heard.ok) return heard;
  const off = offBy(offPercent, "offPercent");
  if (!off.ok) return off;
  const motor = positive(motorRpm, "motorRpm");
  if (!motor.ok) return motor;
  const again = timedAgain(value, heard.value !== null);
  if (!again.ok) return again;
  if (kinds.length === 0 && said === "" && heard.value === null) return refuse("nothing-noted", ["words"]);
  return accept({
    kinds,
    when,
    words: said,
    heard: heard.value === null ? null : { perMinute: heard.value, toleranceShare: off.value / 100, taps },
    motorRpm: motor.value,
    ...(again.value ? { again: again.value } : {}),
  });
}

/** As it stands at another speed; null: it was timed once. Then the first has to be there, and both figures of the second. */
function timedAgain(
  { againPerMinute, againOffPercent, againMotorRpm }: Extract<Input, { kind: "symptom" }>,
  timed: boolean,
): Result<{ perMinute: number; toleranceShare: number; motorRpm: number } | null> {
  if (againPerMinute === "" && againMotorRpm === "") return accept(null);
  if (!timed) return refuse("missing", ["perMinute"]);
  const rate = positive(againPerMinute, "againPerMinute");
  if (!rate.ok) return rate;
  if (rate.value === null) return refuse("missing", ["againPerMinute"]);
  const motor = positive(againMotorRpm, "againMotorRpm");
  if (!motor.ok) return motor;
  if (motor.value === null) return refuse("missing", ["againMotorRpm"]);
  const off = offBy(againOffPercent, "againOffPercent");
  if (!off.ok) return off;
  return accept({ perMinute: rate.value, toleranceShare: off.value / 100, motorRpm: motor.value });
}

/** What a rate may be off by, %. */
function offBy(typed: string, field: string): Result<number> {
  const off = typed === "" ? accept(usualOff) : parseNumber(typed);
  if (!off.ok) return refuse(off.refusal.code, [field], off.refusal.facts);
  if (off.value < 0) return refuse("too-small", [field]);
  return off.value >= 50 ? refuse("too-large", [field]) : off;
}

function positive(typed: string, field: string): Result<number | null> {
  if (typed === "") return accept(null);
  const read = parseNumber(typed);
  if (!read.ok) return refuse(read.refusal.code, [field], read.refusal.facts);
  return read.value > 0 ? accept(read.value) : refuse("too-small", [field]);
}
