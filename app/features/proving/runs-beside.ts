import type { EntryOf } from "~/core/logbook";
import type { Reader } from "../words/reader";
import { runName } from "../words/run";

type Run = EntryOf<"proof">;
export type RunBeside = {
  name: string;
  /** The last such run of each machine that had one, the first machine first. */
  of: {
    machine: string;
    run: Run;
    /** Current against that of the first machine; null: one of them was not read, or it is the first. */
    percent: number | null;
  }[];
};

/** What a run is called, whichever machine it is of. */
export const nameOfRun = (reader: Reader, { body }: Run): string =>
  runName(reader, {
    name: body.planned?.name ?? "",
    move: body.move ?? (body.way === "by-hand" ? "hand-turn" : "run"),
    direction: body.direction ?? null,
    speed: body.speed ?? null,
    gear: body.gear ?? null,
    load: body.load ?? null,
  });

/** The last runs of like stages by what was run, for each machine beside the others; a name that one machine alone has stands too. */
export function runsBeside(
  reader: Reader,
  stages: readonly { machine: { name: string }; runs: readonly Run[] }[],
): RunBeside[] {
  const named = stages.map(({ machine, runs }) => ({
    machine: machine.name,
    runs: new Map(runs.map((run) => [nameOfRun(reader, run), run])),
  }));
  const names = [...new Set(named.flatMap(({ runs }) => [...runs.keys()]))];
  return names.map((name) => {
    const own = named[0]?.runs.get(name)?.body.currentA ?? null;
    return {
      name,
      of: named.flatMap(({ machine, runs }, i) => {
        const run = runs.get(name);
        const current = run?.body.currentA ?? null;
        const percent = i > 0 && own !== null && own > 0 && current !== null ? 100 * (current / own - 1) : null;
        return run ? [{ machine, run, percent }] : [];
      }),
    };
  });
}
