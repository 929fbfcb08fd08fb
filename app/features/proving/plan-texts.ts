import {
  loadTyped,
  type PlanLimit,
  type PlanRun,
  type ProofPlan,
  type ProofPlanFields,
  type RunQuantity,
  runDirections,
  runMoves,
  runQuantities,
  runSpeeds,
} from "~/core/proving";
import { numberText } from "../form/number-text";
import { type Read, TextReader } from "../form/text-reader";
import { rowTexts, type Texts } from "../form/texts";
import { capital } from "../words/count";
import type { Reader } from "../words/reader";
import { loadText, moveWords, quantityOfRun } from "../words/run";

const any = { value: "", label: "–" };
const words = (of: readonly string[]) => of.map((value) => ({ value, label: value }));

/** Columns of the runs; gears where it has several. */
export const runColumns = (gears: readonly string[]) => [
  { name: "name", label: "Own name", wide: true },
  {
    name: "move",
    label: "What is done",
    wide: true,
    options: runMoves.map((value) => ({ value, label: capital(moveWords[value]) })),
  },
  { name: "direction", label: "Direction", wide: true, options: [any, ...words(runDirections)] },
  { name: "speed", label: "Speed", wide: true, options: [any, ...words(runSpeeds)] },
  ...(gears.length > 0 ? [{ name: "gear", label: "Gear", wide: true, options: [any, ...words(gears)] }] : []),
  { name: "load", label: "Loaded with", wide: true },
  { name: "minutes", label: "Minutes" },
  {
    name: "required",
    label: "Asked for",
    wide: true,
    options: [
      { value: "yes", label: "yes" },
      { value: "no", label: "if time" },
    ],
  },
];

const runFields = ["name", "load", "minutes", "move", "direction", "speed", "gear"] as const;

/** Columns of the limits; runs by the ids of their rows. */
export const limitColumns = (runs: readonly { value: string; label: string }[]) => [
  { name: "run", label: "Of", wide: true, options: [{ value: "", label: "every run under power" }, ...runs] },
  {
    name: "of",
    label: "What",
    wide: true,
    options: runQuantities.map((value) => ({
      value,
      label: `${quantityOfRun[value].name}, ${quantityOfRun[value].unit}`,
    })),
  },
  { name: "place", label: "Where", wide: true },
  { name: "lo", label: "At least" },
  { name: "hi", label: "At most" },
  { name: "last", label: "As last time ±" },
];

export const meterName = (of: RunQuantity): string => `meter.${of}`;
/** What is read with a meter; the rest is counted, or by the clock. */
export const metered = ["current", "voltage", "power", "temperature", "speed-off"] as const;

/** A plan as texts; of a new one what is proposed. */
export function planTexts(reader: Reader, plan: ProofPlan | ProofPlanFields): Texts {
  const n = (value: number | null | undefined) => numberText(reader, value);
  const last = ({ aroundLast }: PlanLimit) =>
    aroundLast ? `${n(aroundLast.by)}${aroundLast.unit === "percent" ? " %" : ""}` : "";
  return {
    ...rowTexts(
      "runs",
      plan.runs.map((run) => ({
        id: run.id,
        name: run.name,
        move: run.move,
        direction: run.direction ?? "",
        speed: run.speed ?? "",
        gear: run.gear ?? "",
        load: run.load ? loadText(reader, run.load) : "",
        minutes: n(run.minutes),
        required: run.required ? "yes" : "no",
      })),
    ),
    ...rowTexts(
      "limits",
      plan.limits.map((limit) => ({
        run: limit.run ?? "",
        of: limit.of,
        place: limit.place,
        lo: n(limit.lo),
        hi: n(limit.hi),
        last: last(limit),
      })),
    ),
    ...Object.fromEntries(plan.meters.map(({ of, expandedUncertainty }) => [meterName(of), n(expandedUncertainty)])),
    supply: n(plan.supplyLimitA),
    asymmetry: n(plan.asymmetryPercent),
    slow: n(plan.motorRpm?.slow),
    working: n(plan.motorRpm?.working),
    fast: n(plan.motorRpm?.fast),
  };
}

/**
 * A plan as typed. What is wrong is said at its field.
 *
 * @param newId an id for a run that has none
 */
export function readPlan(texts: Texts, newId: () => string): Read<ProofPlanFields> {
  const read = new TextReader(texts);
  const rows = read.rows("runs", runFields);
  read.want("runs", rows.length > 0, "too-few");
  const runs = rows.map((row): PlanRun => {
    const load = loadTyped(read.text(`${row}.load`));
    if (!load.ok) read.problems[`${row}.load`] = load.refusal;
    return {
      id: read.text(`${row}.id`) || newId(),
      name: read.text(`${row}.name`),
      move: runMoves.find((move) => move === read.text(`${row}.move`)) ?? "run",
      direction: runDirections.find((direction) => direction === read.text(`${row}.direction`)) ?? null,
      speed: runSpeeds.find((speed) => speed === read.text(`${row}.speed`)) ?? null,
      gear: read.text(`${row}.gear`) || null,
      load: load.ok ? load.value : null,
      minutes: over0(read, `${row}.minutes`),
      required: read.text(`${row}.required`) !== "no",
    };
  });
  const limits = read.rows("limits", ["place", "lo", "hi", "last"]).map((row) => limitTyped(read, row));
  const meters = metered.flatMap((of) => {
    if (!read.has(meterName(of))) return [];
    const expandedUncertainty = read.number(meterName(of));
    read.want(meterName(of), !(expandedUncertainty < 0), "too-small");
    return [{ of, expandedUncertainty }];
  });
  const motorRpm = { slow: over0(read, "slow"), working: over0(read, "working"), fast: over0(read, "fast") };
  return read.done({
    runs,
    limits,
    meters,
    supplyLimitA: over0(read, "supply"),
    asymmetryPercent: over0(read, "asymmetry"),
    motorRpm: Object.values(motorRpm).some((rpm) => rpm !== null) ? motorRpm : null,
  });
}

function limitTyped(read: TextReader, row: string): PlanLimit {
  const number = (name: string) => (read.has(`${row}.${name}`) ? read.number(`${row}.${name}`) : null);
  const [lo, hi] = [number("lo"), number("hi")];
  const aroundLast = aroundTyped(read, `${row}.last`);
  read.want(`${row}.hi`, lo !== null || hi !== null || aroundLast !== null, "one-limit");
  read.want(`${row}.lo`, lo === null || hi === null || !(lo > hi), "window-upside-down");
  return {
    run: read.text(`${row}.run`) || null,
    of: runQuantities.find((of) => of === read.text(`${row}.of`)) ?? "current",
    place: read.text(`${row}.place`),
    lo,
    hi,
    aroundLast,
  };
}

/** "10 %" of what it was, or "0.2" in its own unit. */
function aroundTyped(read: TextReader, name: string): PlanLimit["aroundLast"] {
  const text = read.text(name);
  if (text === "") return null;
  const percent = text.endsWith("%");
  const bare = new TextReader({ by: text.replace(/^[±\s]+|[%\s]+$/g, "") });
  const by = bare.number("by");
  if (bare.problems.by) read.problems[name] = bare.problems.by;
  read.want(name, !(by < 0), "too-small");
  return { by, unit: percent ? "percent" : "own" };
}

function over0(read: TextReader, name: string): number | null {
  if (!read.has(name)) return null;
  const value = read.number(name);
  read.want(name, !(value <= 0), "too-small");
  return value;
}
