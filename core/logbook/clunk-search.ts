import { type Entry, type EntryOf, isKind } from "./entry";
import { ranWell } from "./ran-well";

/** How a noise is usually noted that tells of slack, and one that tells of too much tension. */
export const clunkNoise = "clunk at reversal";
export const whineNoise = "whine";

/** A fast run of the search: how tight the strand stood, counted in the adjuster's units from where the job found it, and what was heard. */
export type ClunkStep = { seq: number; at: number; clunk: boolean; noise: string; currentA: number | null };

export type ClunkSearch = {
  steps: ClunkStep[];
  /** How tight it stands now. */
  at: number;
  /** The tightest at which it clunked, and the slackest, tighter than that, at which it did not. */
  clunkAt: number | null;
  quietAt: number | null;
  /** No more than so much between the two tells: it is as tight as it need be. */
  found: boolean;
  /** How much tighter to stand it for the next run; below 0 slacker, 0: there. null: nothing was heard yet, or no smaller step is known. */
  next: number | null;
};

/**
 * Tight enough for no clunk at a fast reversal, and no tighter: tightened while it clunks, slackened until it clunks once, then halved between until the two lie
 * within two of the smallest steps that a hand can set. Fast powered runs count that went well and had their noise said.
 *
 * @param entries of one job and stage that count, in order of their numbers
 * @param smallest step of the adjuster, in its unit; 0: it has none
 */
export function clunkSearch(entries: readonly Entry[], smallest: number): ClunkSearch {
  let at = 0;
  const steps: ClunkStep[] = [];
  for (const entry of entries) {
    if (isKind("move")(entry)) at += tighterBy(entry);
    else if (isKind("proof")(entry) && heardFast(entry)) {
      const { noise, currentA } = entry.body;
      steps.push({
        seq: entry.seq,
        at,
        clunk: clunks(noise),
        noise,
        currentA,
      });
    }
  }
  const clunked = steps.filter(({ clunk }) => clunk).map((step) => step.at);
  const clunkAt = clunked.length === 0 ? null : Math.max(...clunked);
  const quiet = steps.filter((step) => !step.clunk && (clunkAt === null || step.at > clunkAt)).map((step) => step.at);
  const quietAt = quiet.length === 0 ? null : Math.min(...quiet);
  const apart = clunkAt === null || quietAt === null ? null : quietAt - clunkAt;
  const found = apart !== null && apart <= 2 * smallest + 1e-9;
  return {
    steps,
    at,
    clunkAt,
    quietAt,
    found,
    next: nextOf({ at, clunkAt, quietAt, found }, smallest, clunked.length),
  };
}

function nextOf(
  { at, clunkAt, quietAt, found }: Pick<ClunkSearch, "at" | "clunkAt" | "quietAt" | "found">,
  smallest: number,
  times: number,
): number | null {
  if (found) return (quietAt as number) - at;
  if (smallest <= 0) return null;
  if (clunkAt !== null && quietAt !== null)
    return clunkAt + smallest * Math.round((quietAt - clunkAt) / 2 / smallest) - at;
  // Small steps first: what is far too slack shows it by clunking on.
  if (clunkAt !== null) return clunkAt + smallest * Math.min(8, 2 ** times) - at;
  return quietAt === null ? null : quietAt - 2 * smallest - at;
}

/** In whatever words it was noted: "Clunks when reversed"; "no clunk" is none. */
const clunks = (noise: string): boolean => /clunk/i.test(noise.replace(/\b(no|without|never an?y?) clunk\w*/gi, ""));

const tighterBy = ({ body }: EntryOf<"move">): number =>
  body.direction === "apart" ? Math.abs(body.amount) : body.direction === "together" ? -Math.abs(body.amount) : 0;

const heardFast = (run: EntryOf<"proof">): boolean =>
  run.body.way === "powered" && run.body.speed === "fast" && run.body.noise.trim() !== "" && ranWell(run);
