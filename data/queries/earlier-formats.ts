import type { Entry, ReadingRecord, Said } from "../../core/logbook";
import { feelsOf } from "../../core/stages";

/**
 * Entries of the first and the second format, read as today's. What is hashed and exported stays as it was written; what an earlier release
 * did not note is null here, never made up.
 */
type Old = Record<string, unknown>;

/** The body of an entry of an earlier format as today's entries have it. */
export const bodyAsToday = (format: number, kind: Entry["kind"], body: Old): Old =>
  fromSecond(kind, format === 1 ? fromFirst(kind, body) : body);

const renamed: Record<string, string> = {
  minMm: "min",
  maxMm: "max",
  meanMm: "mean",
  worstMinMm: "worstMin",
  worstMaxMm: "worstMax",
  atMm: "at",
  expandedUncertaintyMm: "expandedUncertainty",
};

const withNewNames = (old: Old): Old =>
  Object.fromEntries(Object.entries(old).map(([key, value]) => [renamed[key] ?? key, value]));

const ofBacklash = (old: unknown): unknown => (old ? { quantity: "backlash", ...withNewNames(old as Old) } : old);

/** Entries of the first format were all about backlash and said mm in the names of their figures. */
function fromFirst(kind: Entry["kind"], body: Old): Old {
  switch (kind) {
    case "round":
      return { ...body, result: ofBacklash(body.result) };
    case "move":
      return { ...body, advised: body.advised ? withNewNames(body.advised as Old) : null };
    case "signature": {
      const record = body.record as Old;
      return { ...body, record: { ...record, asFound: ofBacklash(record.asFound), asLeft: ofBacklash(record.asLeft) } };
    }
    default:
      return body;
  }
}

/** The second format judged every spread on one scale, knew no outcome of a run, and kept of what was acknowledged the codes alone. */
function fromSecond(kind: Entry["kind"], body: Old): Old {
  switch (kind) {
    case "round":
      return { ...body, result: resultOf(body.result) };
    case "feel":
      return {
        phase: body.phase,
        method: body.method,
        gear: null,
        of: null,
        places: feltOf(body.places),
        judged: null,
      };
    case "isolated":
      return { lock: body.lock, noLock: null, acknowledged: codesOnly(body.acknowledged), notAcknowledged: [] };
    case "live":
      return { acknowledged: codesOnly(body.acknowledged), saw: body.saw, notKnown: [] };
    case "proof":
      return { ...body, way: "powered", outcome: null };
    case "signature": {
      const record = body.record as Old;
      const { asLeftByFeel } = record;
      const kept = {
        ...record,
        asFound: resultOf(record.asFound),
        asLeft: resultOf(record.asLeft),
        ...(typeof asLeftByFeel === "string" ? { asLeftByFeel: saidByFeel[asLeftByFeel] } : {}),
      };
      return { ...body, record: kept, saw: null, unproven: [] };
    }
    default:
      return body;
  }
}

function resultOf(old: unknown): unknown {
  if (!old) return old;
  const { fits, ...result } = old as Old;
  // Of a sag the spread was held against the limits on the wrong scale, and wear has no lower limit to be held against.
  const known = result.quantity !== "sag" && result.quantity !== "elongation";
  return { ...result, holds: known ? (fits ? "fits" : "too-wide") : null };
}

const feltOf = (places: unknown) =>
  (places as { tooth: number; feel: string }[]).filter(({ feel }) =>
    (feelsOf("click") as readonly string[]).includes(feel),
  );

/** A code stands for its words; which words stood on the screen then nobody noted. */
const codesOnly = (keys: unknown): Said[] => ((keys ?? []) as string[]).map((key) => ({ key, text: "" }));

const saidByFeel: Record<string, unknown> = {
  right: { verdict: "inside", side: null },
  "leans-loose": { verdict: "near", side: "loose" },
  "leans-tight": { verdict: "near", side: "tight" },
  "too-loose": { verdict: "outside", side: "loose" },
  "too-tight": { verdict: "outside", side: "tight" },
  "not-round": { verdict: "outside", side: "both" },
};

/** A reading as an entry of the first format was hashed with it. */
export const readingAsWritten = ({ value, resolution, expandedUncertainty, held: _, ...rest }: ReadingRecord): Old => ({
  ...rest,
  valueMm: value,
  resolutionMm: resolution,
  expandedUncertaintyMm: expandedUncertainty,
});
