import type { Entry, ReadingRecord } from "../../core/logbook";

/**
 * Entries of the first format were all about backlash and said mm in the names of their figures. They are read as today's, and shown and
 * judged like them; what is hashed and exported stays as it was written.
 */
type Old = Record<string, unknown>;

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

const result = (old: unknown): unknown => (old ? { quantity: "backlash", ...withNewNames(old as Old) } : old);

/** The body of an entry of the first format as today's entries have it. */
export function bodyAsToday(kind: Entry["kind"], body: Old): Old {
  switch (kind) {
    case "round":
      return { ...body, result: result(body.result) };
    case "move":
      return { ...body, advised: body.advised ? withNewNames(body.advised as Old) : null };
    case "signature": {
      const record = body.record as Old;
      return { ...body, record: { ...record, asFound: result(record.asFound), asLeft: result(record.asLeft) } };
    }
    default:
      return body;
  }
}

/** A reading as an entry of the first format was hashed with it. */
export const readingAsWritten = ({ value, resolution, expandedUncertainty, held: _, ...rest }: ReadingRecord): Old => ({
  ...rest,
  valueMm: value,
  resolutionMm: resolution,
  expandedUncertaintyMm: expandedUncertainty,
});
