import * as z from "zod";
import { type PartWork, partWorks } from "../../core/guides";
import type { Apart, Bodies } from "../../core/logbook";
import { fitWords } from "../../core/making";
import { accept, parseQuantity, type Result, refuse } from "../../core/quantity";
import { text, words } from "../input";

const typed = text(40).trim().default("");

export const partWorkInput = z.object({
  kind: z.literal("part-work"),
  key: words(60),
  name: words(80),
  work: z.enum(partWorks),
  guided: z.boolean().default(false),
  /** Sizes and runout as typed, bare ones in mm; empty: not read. */
  before: typed,
  after: typed,
  runoutBefore: typed,
  runoutAfter: typed,
  felt: z.enum(fitWords).nullable().default(null),
  clocking: text(80).trim().default(""),
  note: text(400).trim().default(""),
});

type Check = "before" | "after" | "runoutBefore" | "runoutAfter" | "felt" | "clocking";

/** What has to be read or said of each work, so that it has its check. Common practice. */
export const checksOf: Record<PartWork, readonly Check[]> = {
  // Small first, then to size.
  drill: ["before", "after"],
  // A hub is bored again only with its runout read before and after.
  bore: ["after", "runoutBefore", "runoutAfter"],
  // In tries, each of them felt.
  ream: ["felt"],
  file: ["felt"],
  "cut to length": ["after"],
  // Against another flat, or a mark.
  "file a flat": ["clocking"],
};

/** Work on a part with its check; one whose check is missing is refused at its field. */
export function buildPartWork(
  input: z.output<typeof partWorkInput>,
  { parts }: Apart,
): Result<{ body: Bodies["part-work"]; namesEntry: string | null }> {
  const missing = checksOf[input.work].find((check) => input[check] === "" || input[check] === null);
  if (missing) return refuse("missing", [missing]);
  const sizes: Record<string, number | null> = {};
  for (const field of ["before", "after", "runoutBefore", "runoutAfter"] as const) {
    const read = input[field] === "" ? null : parseQuantity(input[field], "length", "mm");
    if (read && !read.ok) return refuse(read.refusal.code, [field], read.refusal.facts);
    const value = read?.ok ? read.value.value : null;
    if (value !== null && (field.startsWith("runout") ? value < 0 : value <= 0)) return refuse("too-small", [field]);
    sizes[field] = value;
  }
  const { before = null, after = null, runoutBefore = null, runoutAfter = null } = sizes;
  // Metal that is gone does not come back: a hole grows, a length shrinks.
  if (before !== null && after !== null && input.work === "cut to length" && after > before)
    return refuse("too-large", ["after"]);
  if (before !== null && after !== null && ["drill", "bore", "ream"].includes(input.work) && after < before)
    return refuse("too-small", ["after"]);
  const known = parts.find(({ key }) => key === input.key);
  return accept({
    body: {
      part: { key: input.key, name: known?.name ?? input.name },
      work: input.work,
      guided: input.guided,
      beforeMm: before,
      afterMm: after,
      runoutBeforeMm: runoutBefore,
      runoutAfterMm: runoutAfter,
      felt: input.felt,
      clocking: input.clocking,
      note: input.note,
    },
    namesEntry: known?.off?.id ?? null,
  });
}
