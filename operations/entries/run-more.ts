import * as z from "zod";
import type { Bodies } from "../../core/logbook";
import { type GearTurns, loadTyped, speedCheck, speedWays, turnsByStopwatch } from "../../core/proving";
import { accept, parseNumber, parseQuantity, type Result, refuse } from "../../core/quantity";
import { text } from "../input";

const typed = text(40).trim();
const seconds = z.number().gte(-1e9).lte(1e9);

/** What may be noted of a run beside current, temperature and noise; as it was typed, empty where nothing was. */
export const runMoreInput = {
  peak: typed.optional(),
  voltage: typed.optional(),
  power: typed.optional(),
  /** The supply showed that it was at its limit. */
  atSupplyLimit: z.boolean().optional(),
  /** "8 kg", "12 N at 150 mm", or words. */
  load: text(60).trim().optional(),
  speedRead: z
    .object({
      how: z.enum(speedWays),
      rpm: typed.optional(),
      turns: typed.optional(),
      seconds: typed.optional(),
      travel: typed.optional(),
      travelPerTurn: typed.optional(),
      motorRpm: typed.optional(),
    })
    .optional(),
  /** The slowest at which it still ran, turns of the output a minute. */
  slowest: typed.optional(),
  temperatures: z
    .array(z.object({ place: text(60).trim(), minutes: typed, temp: typed }))
    .max(60)
    .optional(),
  heard: z.object({ perMinute: typed, offPercent: typed, taps: z.int().gte(1).lte(10_000).nullable() }).optional(),
  ran: z
    .object({
      minutes: typed,
      by: z.enum(["timer", "typed"]),
      clockSetS: seconds.optional(),
      unwatchedS: seconds.optional(),
    })
    .optional(),
  from: typed.optional(),
  endedAt: typed.optional(),
};
export type RunMoreInput = z.output<z.ZodObject<typeof runMoreInput>>;

export type RunMore = Pick<
  Bodies["proof"],
  | "load"
  | "peakA"
  | "voltageV"
  | "powerW"
  | "speedRead"
  | "slowestRpm"
  | "temperatures"
  | "heard"
  | "ran"
  | "fromDeg"
  | "endedAtDeg"
>;

/** What is known of the run before it is read: its gear, what the train gives, and what its motor turns at by the plan. */
export type RunTrain = { gear: string | null; turns: readonly GearTurns[]; motorRpm: number | null };

/** Reads it; what was left empty is left out. A problem is told at its field. */
export function runMore(input: RunMoreInput, train: RunTrain): Result<RunMore> {
  const peak = number(input.peak, "current", "A", ["peak"]);
  if (!peak.ok) return peak;
  const voltage = plain(input.voltage, ["voltage"]);
  if (!voltage.ok) return voltage;
  const power = plain(input.power, ["power"]);
  if (!power.ok) return power;
  const load = loadTyped(input.load ?? "");
  if (!load.ok) return load;
  const speed = input.speedRead ? speedOf(input.speedRead, train) : accept(null);
  if (!speed.ok) return speed;
  const slowest = input.slowest ? wanted(plain(input.slowest, ["slowest"]), ["slowest"]) : accept(null);
  if (!slowest.ok) return slowest;
  const temperatures = temperaturesOf(input.temperatures ?? []);
  if (!temperatures.ok) return temperatures;
  const heard = input.heard ? heardOf(input.heard) : accept(null);
  if (!heard.ok) return heard;
  const ran = input.ran ? ranOf(input.ran) : accept(null);
  if (!ran.ok) return ran;
  const from = number(input.from, "angle", "deg", ["from"]);
  if (!from.ok) return from;
  const endedAt = number(input.endedAt, "angle", "deg", ["endedAt"]);
  if (!endedAt.ok) return endedAt;
  return accept({
    ...(load.value ? { load: load.value } : {}),
    ...(peak.value === null ? {} : { peakA: peak.value }),
    ...(voltage.value === null ? {} : { voltageV: voltage.value }),
    ...(power.value === null ? {} : { powerW: power.value }),
    ...(speed.value ? { speedRead: speed.value } : {}),
    ...(slowest.value === null ? {} : { slowestRpm: slowest.value }),
    ...(temperatures.value.length > 0 ? { temperatures: temperatures.value } : {}),
    ...(heard.value ? { heard: heard.value } : {}),
    ...(ran.value ? { ran: ran.value } : {}),
    ...(from.value === null ? {} : { fromDeg: from.value }),
    ...(endedAt.value === null ? {} : { endedAtDeg: endedAt.value }),
  });
}

type Path = (string | number)[];

function number(
  written: string | undefined,
  dimension: Parameters<typeof parseQuantity>[1],
  bare: string,
  path: Path,
): Result<number | null> {
  if (!written) return accept(null);
  const read = parseQuantity(written, dimension, bare);
  return read.ok ? accept(read.value.value) : refuse(read.refusal.code, path, read.refusal.facts);
}

function plain(written: string | undefined, path: Path): Result<number | null> {
  if (!written) return accept(null);
  const read = parseNumber(written);
  return read.ok ? read : refuse(read.refusal.code, path, read.refusal.facts);
}

/** Over 0 and there. */
function wanted(read: Result<number | null>, path: Path): Result<number> {
  if (!read.ok) return read;
  if (read.value === null) return refuse("missing", path);
  return read.value > 0 ? accept(read.value) : refuse("too-small", path);
}

function speedOf(
  input: NonNullable<RunMoreInput["speedRead"]>,
  { gear, turns, motorRpm: byPlan }: RunTrain,
): Result<Bodies["proof"]["speedRead"] | null> {
  const measured = measuredSpeed(input);
  if (!measured.ok || measured.value === null) return measured.ok ? accept(null) : measured;
  const motor = plain(input.motorRpm, ["speedRead", "motorRpm"]);
  if (!motor.ok) return motor;
  if (motor.value !== null && motor.value <= 0) return refuse("too-small", ["speedRead", "motorRpm"]);
  const { rpm, uncertaintyPercent } = measured.value;
  const motorRpm = motor.value ?? byPlan;
  const checked = speedCheck({ rpm, uncertaintyPercent, motorRpm, gear, turns });
  return accept({ how: input.how, rpm, expandedUncertaintyPercent: uncertaintyPercent, motorRpm, ...checked });
}

function measuredSpeed(
  input: NonNullable<RunMoreInput["speedRead"]>,
): Result<{ rpm: number; uncertaintyPercent: number } | null> {
  const at = (name: keyof typeof input): Path => ["speedRead", name];
  if (input.how === "tachometer") {
    if (!input.rpm) return accept(null);
    const rpm = wanted(plain(input.rpm, at("rpm")), at("rpm"));
    return rpm.ok ? accept({ rpm: rpm.value, uncertaintyPercent: 0 }) : rpm;
  }
  const field = input.how === "turns" ? "turns" : "travel";
  if (!input[field] && !input.seconds) return accept(null);
  const read = input.how === "turns" ? plain(input.turns, at(field)) : number(input.travel, "length", "mm", at(field));
  const amount = wanted(read, at(field));
  if (!amount.ok) return amount;
  const took = number(input.seconds, "time", "s", at("seconds"));
  const hours = wanted(took, at("seconds"));
  if (!hours.ok) return hours;
  if (input.how === "turns") return accept(turnsByStopwatch(amount.value, hours.value * 3600));
  const perTurn = wanted(number(input.travelPerTurn, "length", "mm", at("travelPerTurn")), at("travelPerTurn"));
  return perTurn.ok ? accept(turnsByStopwatch(amount.value / perTurn.value, hours.value * 3600)) : perTurn;
}

function temperaturesOf(rows: NonNullable<RunMoreInput["temperatures"]>): Result<NonNullable<RunMore["temperatures"]>> {
  const read: NonNullable<RunMore["temperatures"]> = [];
  for (const [i, row] of rows.entries()) {
    if (row.temp === "" && row.minutes === "") continue;
    const tempC = number(row.temp, "temperature", "C", ["temperatures", i, "temp"]);
    if (!tempC.ok) return tempC;
    if (tempC.value === null) return refuse("missing", ["temperatures", i, "temp"]);
    const minutes = number(row.minutes, "time", "min", ["temperatures", i, "minutes"]);
    if (!minutes.ok) return minutes;
    if (minutes.value !== null && minutes.value < 0) return refuse("too-small", ["temperatures", i, "minutes"]);
    read.push({ place: row.place, minutes: minutes.value === null ? null : minutes.value * 60, tempC: tempC.value });
  }
  return accept(read);
}

function heardOf(input: NonNullable<RunMoreInput["heard"]>): Result<Bodies["proof"]["heard"] | null> {
  if (input.perMinute === "") return accept(null);
  const perMinute = wanted(plain(input.perMinute, ["heard", "perMinute"]), ["heard", "perMinute"]);
  if (!perMinute.ok) return perMinute;
  const off = plain(input.offPercent, ["heard", "offPercent"]);
  if (!off.ok) return off;
  const percent = off.value ?? usualOffPercent;
  if (percent < 0) return refuse("too-small", ["heard", "offPercent"]);
  if (percent >= 50) return refuse("too-large", ["heard", "offPercent"]);
  return accept({ perMinute: perMinute.value, toleranceShare: percent / 100, taps: input.taps });
}

/** What a rate that was typed may be off by, where nobody said. */
const usualOffPercent = 5;

function ranOf({
  minutes,
  by,
  clockSetS,
  unwatchedS,
}: NonNullable<RunMoreInput["ran"]>): Result<Bodies["proof"]["ran"] | null> {
  const hours = number(minutes, "time", "min", ["ran", "minutes"]);
  if (!hours.ok) return hours;
  if (hours.value === null) return accept(null);
  if (hours.value < 0) return refuse("too-small", ["ran", "minutes"]);
  return accept({
    minutes: hours.value * 60,
    by,
    ...(clockSetS ? { clockSetS } : {}),
    ...(unwatchedS ? { unwatchedS } : {}),
  });
}
