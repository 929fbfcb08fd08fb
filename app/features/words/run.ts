import type { Verdict } from "~/core/limits";
import type { Bodies, OutstandingRun, RunDirection } from "~/core/logbook";
import type { Asymmetry, FigureJudged, PlanRun, RunLoad, RunMove, RunQuantity, SpeedWay } from "~/core/proving";
import { brakeTorqueNm } from "~/core/proving";
import { numberText } from "../form/number-text";
import { capital } from "./count";
import { formatNumber } from "./figure";
import type { Reader } from "./reader";
import { lengthWords } from "./spoken";

export const moveWords: Record<RunMove, string> = {
  run: "run",
  "hand-turn": "turned by hand, all the way round",
  "full-turn": "one whole turn under power",
  up: "up",
  down: "down",
  step: "a step",
  sine: "a slow swing to and fro",
  "failing-case": "the very case that used to fail",
  "loaded-other-way": "loaded the other way",
  "slowed-down": "slowed down until it is about to stall",
};

export const loadWords = (reader: Reader, load: RunLoad): string =>
  load.kind === "weight"
    ? `${formatNumber(reader, load.kg, 1)} kg`
    : load.kind === "brake"
      ? `${formatNumber(reader, load.forceN, 1)} N at ${lengthWords(reader, load.armMm, 0)}: ${formatNumber(reader, brakeTorqueNm(load), 2)} N·m`
      : load.text;

type Told = Pick<PlanRun, "name" | "move" | "direction" | "speed" | "gear" | "load">;

/** What a run is called: its own words, else what it is: "Low, forwards, slow, 8 kg". */
export function runName(reader: Reader, run: Told): string {
  if (run.name) return run.name;
  const parts = [
    run.gear,
    run.move === "run" && run.direction ? null : moveWords[run.move],
    run.direction,
    run.speed,
    run.load && loadWords(reader, run.load),
  ];
  return capital(parts.filter(Boolean).join(", "));
}

/** The same without its direction, for what both directions have in common. */
export const runNameBothWays = (reader: Reader, run: Told): string =>
  run.move === "run" && !run.gear && !run.speed && !run.load && !run.name
    ? "Run"
    : runName(reader, { ...run, move: run.move, direction: null, name: withoutDirection(run.name) });

const withoutDirection = (name: string): string => name.replace(/[,\s]*\b(forwards|backwards)\b/gi, "").trim();

export const runVerdictWords: Record<Verdict, string> = {
  conforms: "inside its limits",
  undecided: "not decided",
  "does-not-conform": "outside its limits",
};

const why: Record<OutstandingRun["why"], string> = {
  "not-run": "not run",
  "went-wrong": "did not go well",
  undecided: "could not be decided",
};

/** "Not proven: low, slow, not run; up with 8 kg, did not go well"; empty where nothing is open. */
export const outstandingWords = (reader: Reader, runs: readonly OutstandingRun[]): string =>
  runs.length === 0
    ? ""
    : `Not proven: ${runs.map(({ run, why: because }) => `${runName(reader, run)} (${why[because]})`).join("; ")}`;

export const quantityOfRun: Record<RunQuantity, { name: string; unit: string; decimals: number }> = {
  current: { name: "Current", unit: "A", decimals: 2 },
  peak: { name: "Peak current", unit: "A", decimals: 2 },
  voltage: { name: "Voltage", unit: "V", decimals: 1 },
  power: { name: "Power", unit: "W", decimals: 0 },
  "speed-off": { name: "Speed off the train's", unit: "%", decimals: 1 },
  "slowest-speed": { name: "Slowest it still runs", unit: "rpm", decimals: 1 },
  temperature: { name: "Temperature", unit: "°C", decimals: 0 },
  overshoot: { name: "Overshoot", unit: "mm", decimals: 1 },
  minutes: { name: "Ran for", unit: "min", decimals: 0 },
};

export const speedWayWords: Record<SpeedWay, string> = {
  tachometer: "tachometer",
  turns: "turns by a stopwatch",
  travel: "travel in a time",
};

/** "Current 1.9 A, at most 1.6 A (last time 1.5 A)". */
export function figureWords(reader: Reader, figure: FigureJudged): string {
  const { name, unit, decimals } = quantityOfRun[figure.of];
  const f = (value: number) => `${formatNumber(reader, value, decimals)} ${unit}`;
  const what = figure.place ? `${name}, ${figure.place}` : name;
  const limits =
    figure.lo !== null && figure.hi !== null
      ? `${formatNumber(reader, figure.lo, decimals)} to ${f(figure.hi)}`
      : figure.hi !== null
        ? `at most ${f(figure.hi)}`
        : figure.lo !== null
          ? `at least ${f(figure.lo)}`
          : "";
  const last = figure.last === null ? "" : `last time ${f(figure.last)}`;
  if (figure.why === "not-read") return `${what} was not read${limits && `; wanted ${limits}`}`;
  if (figure.why === "no-last-time") return `${what} ${f(figure.value ?? 0)}, no last time to hold it against`;
  const hidden = figure.why === "at-supply-limit" ? "; the supply is at its limit and hides the rest" : "";
  const good = figure.expandedUncertainty > 0 ? "" : "; taken as read, how well is not known";
  return `${what} ${f(figure.value ?? 0)}, ${[limits, last].filter(Boolean).join("; ")}${hidden}${figure.of === "minutes" ? "" : good}`;
}

/** What the speed says: "Turns 2.1 % slower than the train gives"; empty where nobody knows what it gives. */
export function speedWords(reader: Reader, read: NonNullable<Bodies["proof"]["speedRead"]>): string {
  const rpm = `${formatNumber(reader, read.rpm, 1)} turns a minute`;
  if (read.offPercent === null || read.predictedRpm === null) return `${rpm}; what the train gives is not known`;
  const off = `${formatNumber(reader, Math.abs(read.offPercent), 1)} % ${read.offPercent < 0 ? "slower" : "faster"}`;
  const gives = `${formatNumber(reader, read.predictedRpm, 1)}`;
  switch (read.find) {
    case "as-predicted":
      return `${rpm}, as the train gives (${gives})`;
    case "other-gear":
      return `${rpm}: that is the speed of ${read.gear}, not of the gear that was named`;
    case "slips":
      return `${rpm}, ${off} than the train gives (${gives}): it slips, or the ratio is another`;
    default:
      return `${rpm}, ${off} than the train gives (${gives}): the ratio is another, or the motor turns faster`;
  }
}

/** "Forwards draws 24 % more than backwards (1.61 and 1.27 A)". */
export const asymmetryWords = (reader: Reader, { more, percent, forwardsA, backwardsA }: Asymmetry): string => {
  const less: RunDirection = more === "forwards" ? "backwards" : "forwards";
  const [high, low] = more === "forwards" ? [forwardsA, backwardsA] : [backwardsA, forwardsA];
  return `${capital(more)} draws ${formatNumber(reader, percent, 0)} % more than ${less} (${formatNumber(reader, high, 2)} and ${formatNumber(reader, low, 2)} A)`;
};

/** Everything that a run showed, in a line. */
export function runShows(reader: Reader, body: Bodies["proof"]): string[] {
  const f = (value: number | null | undefined, decimals: number, unit: string, name = "") =>
    value === null || value === undefined ? "" : `${name}${formatNumber(reader, value, decimals)} ${unit}`;
  return [
    f(body.currentA, 1, "A"),
    f(body.peakA, 1, "A", "peak "),
    f(body.voltageV, 1, "V"),
    f(body.powerW, 0, "W"),
    body.atSupplyLimit ? "the supply at its limit" : "",
    f(body.temperatureC, 0, "°C"),
    ...temperatureShows(reader, body),
    body.speedRead ? speedWords(reader, body.speedRead) : "",
    f(body.slowestRpm, 1, "rpm", "still runs at "),
    body.ran ? ranWords(reader, body.ran) : "",
    body.endedAtDeg === undefined ? "" : `at ${formatNumber(reader, body.endedAtDeg, 0)}°`,
    body.heard ? `${formatNumber(reader, body.heard.perMinute, 0)} times a minute` : "",
    body.noise,
  ].filter(Boolean);
}

function temperatureShows(reader: Reader, { temperatures = [] }: Bodies["proof"]): string[] {
  const places = [...new Set(temperatures.map(({ place }) => place))];
  return places.map((place) => {
    const last = temperatures.findLast((read) => read.place === place);
    return `${place ? `${place} ` : ""}${formatNumber(reader, last?.tempC ?? 0, 0)} °C`;
  });
}

/** "14 min", and what of the clock was not right. */
export function ranWords(
  reader: Reader,
  { minutes, clockSetS, unwatchedS }: NonNullable<Bodies["proof"]["ran"]>,
): string {
  const ran = `${formatNumber(reader, minutes, minutes < 10 ? 1 : 0)} min`;
  if (clockSetS)
    return `${ran}; the tablet’s clock was set meanwhile, by ${formatNumber(reader, clockSetS / 60, 1)} min`;
  if (unwatchedS) return `${ran}, ${formatNumber(reader, unwatchedS / 60, 0)} min of it unseen`;
  return ran;
}

/** A load as it is typed again. */
export const loadText = (reader: Reader, load: RunLoad): string =>
  load.kind === "weight"
    ? `${numberText(reader, load.kg)} kg`
    : load.kind === "brake"
      ? `${numberText(reader, load.forceN)} N at ${numberText(reader, load.armMm)} mm`
      : load.text;
