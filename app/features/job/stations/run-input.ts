import type { RunOutcome, RunWay } from "~/core/logbook";
import type { StageElement } from "~/core/stages";
import { frameOf } from "~/core/stages";
import type { Work } from "~/operations/build-entry";
import type { RunChoice } from "./run-choice";

export type ProofWork = Extract<Work, { kind: "proof" }>;
type Texts = Readonly<Record<string, string>>;

/** Temperatures by place that were noted, by the numbers of their rows. */
export const temperatureRows = (texts: Texts): number[] =>
  [
    ...new Set(
      Object.keys(texts).flatMap((name) => {
        const [, row] = /^proof\.temps\.(\d+)\./.exec(name) ?? [];
        return row !== undefined && texts[name] !== "" ? [Number(row)] : [];
      }),
    ),
  ].sort((a, b) => a - b);

/** Everything of a run that is typed, so that it can be emptied when it was logged. */
export const typedOfRun = (texts: Texts): string[] =>
  Object.keys(texts).filter((name) => name.startsWith("proof.") && !kept.has(name) && texts[name] !== "");

/** What stays from run to run: how a speed is read, and what the motor turns at. */
const kept: ReadonlySet<string> = new Set(["proof.run", "proof.speedHow", "proof.perTurn", "proof.mm"]);

/** A run as it is sent, from what was typed of it. */
export function proofWork(
  choice: RunChoice,
  way: RunWay,
  outcome: RunOutcome,
  element: StageElement,
  texts: Texts,
): ProofWork {
  const text = (name: string) => texts[`proof.${name}`] ?? "";
  const clock = timerSaid(text("clock"));
  const how = (["tachometer", "turns", "travel"] as const).find((one) => one === text("speedHow")) ?? "tachometer";
  return {
    kind: "proof",
    way,
    outcome,
    direction: choice.direction,
    speed: choice.speed,
    ...(choice.gear ? { gear: choice.gear } : {}),
    ...(choice.planned ? { planned: choice.key } : { move: choice.way === "by-hand" ? "hand-turn" : "run" }),
    current: text("current"),
    temperature: text("temperature"),
    noise: text("noise"),
    ...(frameOf(element).ends && {
      leftToBuffer: text("leftToBuffer"),
      overshoot: text("overshoot"),
      guidesLubricated: text("guides") === "yes",
    }),
    peak: text("peak"),
    voltage: text("voltage"),
    power: text("power"),
    ...(text("atLimit") === "yes" ? { atSupplyLimit: true } : {}),
    load: text("load"),
    speedRead: {
      how,
      rpm: text("rpm"),
      turns: text("turns"),
      seconds: text("seconds"),
      travel: text("travel"),
      travelPerTurn: text("perTurn"),
      motorRpm: text("motorRpm"),
    },
    slowest: text("slowest"),
    temperatures: temperatureRows(texts).map((row) => ({
      place: text(`temps.${row}.place`),
      minutes: text(`temps.${row}.minutes`),
      temp: text(`temps.${row}.temp`),
    })),
    heard: {
      perMinute: text("heard"),
      offPercent: text("heardOff"),
      taps: text("taps") === "" ? null : Number(text("taps")),
    },
    // What the clock did says nothing of minutes that were typed instead.
    ran:
      clock && text("minutesBy") === "timer"
        ? { minutes: text("minutes"), by: "timer", ...clock }
        : { minutes: text("minutes"), by: "typed" },
    from: text("from"),
    endedAt: text("endedAt"),
  };
}

/** What the timer saw of the clock. */
function timerSaid(text: string): { clockSetS: number; unwatchedS: number } | null {
  const [, set, unwatched] = /^(-?\d+) (\d+)$/.exec(text) ?? [];
  return set === undefined || unwatched === undefined
    ? null
    : { clockSetS: Number(set), unwatchedS: Number(unwatched) };
}
