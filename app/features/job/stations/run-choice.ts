import type { EntryOf, PlannedRun } from "~/core/logbook";
import { ranWell } from "~/core/logbook";
import {
  type PlanRun,
  type ProofPlan,
  type RunDirection,
  type RunSpeed,
  type RunWay,
  runDirections,
  runSpeeds,
  wayOf,
} from "~/core/proving";
import { capital } from "../../words/count";
import type { Reader } from "../../words/reader";
import { runName } from "../../words/run";

/** One run that can be chosen: of a plan, or a direction at a speed in a gear where no plan says which. */
export type RunChoice = {
  key: string;
  way: RunWay;
  direction: RunDirection | null;
  speed: RunSpeed | null;
  gear: string | null;
  planned: PlannedRun | null;
};

/** What one row of the matrix has in common; `either`: a run that is of no direction. */
export type RunRow = {
  key: string;
  of: Pick<PlanRun, "name" | "move" | "direction" | "speed" | "gear" | "load">;
  forwards: RunChoice | null;
  backwards: RunChoice | null;
  either: RunChoice | null;
};
export type RunBlock = { plan: ProofPlan | null; rows: RunRow[] };

const alike = ({ name, move, speed, gear, load }: PlanRun, direction: RunDirection | null): string =>
  JSON.stringify([direction === null ? name : "", move, speed, gear, load, direction === null]);

/** The runs of the plans, both directions beside each other; where the stage has none of its own, every gear at every speed. */
export function runBlocks(
  planned: readonly PlannedRun[],
  stageId: string,
  gears: readonly (string | null)[],
): RunBlock[] {
  const plans = [...new Set(planned.map(({ plan }) => plan))];
  const blocks = plans.map((plan): RunBlock => ({ plan, rows: planRows(planned.filter((one) => one.plan === plan)) }));
  return plans.some((plan) => plan.stageId === stageId) ? blocks : [{ plan: null, rows: plainRows(gears) }, ...blocks];
}

function planRows(planned: readonly PlannedRun[]): RunRow[] {
  const rows = new Map<string, RunRow>();
  for (const one of planned) {
    const { run } = one;
    const choice: RunChoice = {
      key: run.id,
      way: wayOf(run.move),
      direction: run.direction,
      speed: run.speed,
      gear: run.gear,
      planned: one,
    };
    const key = alike(run, run.direction);
    const row = rows.get(key) ?? { key, of: run, forwards: null, backwards: null, either: null };
    const place = run.direction ?? "either";
    // A second run that is alike in everything but its own name has a row of its own.
    if (row[place])
      rows.set(run.id, {
        ...row,
        key: run.id,
        of: run,
        forwards: null,
        backwards: null,
        either: null,
        [place]: choice,
      });
    else rows.set(key, { ...row, [place]: choice });
  }
  return [...rows.values()];
}

function plainRows(gears: readonly (string | null)[]): RunRow[] {
  const row = (way: RunWay, gear: string | null, speed: RunSpeed | null): RunRow => {
    const of = {
      name: "",
      move: way === "by-hand" ? ("hand-turn" as const) : ("run" as const),
      direction: null,
      speed,
      gear,
      load: null,
    };
    const choice = (direction: RunDirection): RunChoice => ({
      key: [way, gear ?? "", direction, speed ?? ""].join("|"),
      ...{ way, direction, speed, gear, planned: null },
    });
    return {
      key: [way, gear, speed].join("|"),
      of,
      forwards: choice("forwards"),
      backwards: choice("backwards"),
      either: null,
    };
  };
  return gears.flatMap((gear) => [
    row("by-hand", gear, null),
    ...runSpeeds.map((speed) => row("powered", gear, speed)),
  ]);
}

/** Every run in the order in which it is offered. */
export const choicesOf = (blocks: readonly RunBlock[]): RunChoice[] =>
  blocks.flatMap(({ rows, plan }) => {
    const of = rows.flatMap(({ forwards, backwards, either }) =>
      [forwards, backwards, either].filter((choice) => choice !== null),
    );
    // Without a plan one way after the other: a drive is not turned round for every run.
    return plan ? of : runDirections.flatMap((direction) => of.filter((choice) => choice.direction === direction));
  });

type Proof = EntryOf<"proof">;

/** The last time that a run was run, of those given in order. */
export const lastOf = (choice: RunChoice, proofs: readonly Proof[]): Proof | null =>
  proofs.findLast(({ body }) =>
    choice.planned
      ? body.planned?.runId === choice.key
      : !body.planned &&
        body.way === choice.way &&
        body.direction === choice.direction &&
        // By hand there is no speed; an earlier release noted one.
        (choice.way === "by-hand" || body.speed === choice.speed) &&
        (body.gear ?? null) === choice.gear,
  ) ?? null;

/** Which run is next: the one that was touched, else the first of the way it can be run now that has not gone well. */
export function chosenRun(
  blocks: readonly RunBlock[],
  touched: string,
  way: RunWay,
  proofs: readonly Proof[],
): RunChoice | null {
  const choices = choicesOf(blocks);
  const well = (choice: RunChoice) => {
    if (choice.planned) return choice.planned.state === "proven";
    const last = lastOf(choice, proofs);
    return last !== null && ranWell(last);
  };
  const now = choices.filter((choice) => choice.way === way);
  return (
    choices.find(({ key }) => key === touched) ??
    now.find((choice) => !well(choice) && (choice.planned?.run.required ?? true)) ??
    now.find((choice) => !well(choice)) ??
    now[0] ??
    choices[0] ??
    null
  );
}

/** What it is called: "Low, forwards, slow". */
export const choiceName = (reader: Reader, choice: RunChoice): string =>
  choice.planned
    ? runName(reader, choice.planned.run)
    : capital(
        [choice.gear, choice.way === "by-hand" ? "by hand" : null, choice.direction, choice.speed]
          .filter(Boolean)
          .join(", "),
      );
