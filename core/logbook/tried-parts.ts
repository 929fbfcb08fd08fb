import { type FitSeries, fitSeries } from "../making";
import { type Entry, type EntryOf, isKind } from "./entry";
import { voidedBy } from "./job-record";

export type TriedPart = {
  part: string;
  /** Every try, oldest first. */
  tries: EntryOf<"trial">[];
  /** The one that is fitted now; null: none is. */
  fitted: EntryOf<"trial"> | null;
  /** How much smaller it comes out than drawn, mean over those of the last way of making; null below two of them. */
  comesOutSmallerMm: { meanMm: number; of: number } | null;
  /** What the felt tries say of the next size; null where no size was felt. */
  series: FitSeries | null;
};

/** Of sizes that a hand makes (common practice). */
const usualStepMm = 0.05;

/** Parts that were made and tried on a stage, the newest first: what is kept for next time, and which size comes next. */
export function triedParts(entries: readonly Entry[]): TriedPart[] {
  const voided = voidedBy(entries);
  const trials = entries.filter(isKind("trial")).filter(({ id }) => !voided.has(id));
  const names = [...new Set([...trials].reverse().map(({ body }) => body.part.toLowerCase()))];
  return names.map((name) => {
    const tries = trials.filter(({ body }) => body.part.toLowerCase() === name);
    const last = tries[tries.length - 1] as EntryOf<"trial">;
    const fitted = tries.findLast(({ body }) => body.outcome === "fitted") ?? null;
    const making = tries.filter(({ body }) => body.making === last.body.making);
    const smaller = making.flatMap(({ body }) =>
      body.drawnMm !== null && body.madeMm !== null ? [body.drawnMm - body.madeMm] : [],
    );
    return {
      part: last.body.part,
      tries,
      fitted,
      comesOutSmallerMm:
        smaller.length < 2
          ? null
          : { meanMm: smaller.reduce((sum, one) => sum + one, 0) / smaller.length, of: smaller.length },
      series: seriesOf(tries, last.body.of),
    };
  });
}

/** Of what was measured after making; a slide is what is wanted, unless the fitted one was pressed in. */
function seriesOf(tries: readonly EntryOf<"trial">[], of: "hole" | "shaft" | null): FitSeries | null {
  if (of === null) return null;
  const felt = tries.flatMap(({ body }) =>
    body.of === of && body.madeMm !== null && body.felt !== null ? [{ sizeMm: body.madeMm, felt: body.felt }] : [],
  );
  if (felt.length === 0) return null;
  const right = tries.findLast(({ body }) => body.outcome === "fitted")?.body.felt;
  const wanted = right === "presses" || right === "falls" ? right : "slides";
  return fitSeries({ of, tries: felt, wanted, stepMm: usualStepMm });
}
