import * as z from "zod";
import {
  binding,
  partConditions,
  partFates,
  races,
  screwStates,
  turnDeeds,
  turnFeels,
  turnFinds,
  turnWays,
} from "../../core/guides";
import type { Apart, Bodies, PartNamed, PartNow, ScrewsBack } from "../../core/logbook";
import { accept, parseQuantity, type Result, refuse } from "../../core/quantity";
import type { Instrument } from "../../core/records";
import { seatWasher } from "../../core/stacks";
import { differenceUncertainty } from "../../core/statistics";
import { id, text, words } from "../input";
import { takings } from "../takings";

const pieces = z.int().gte(0).lte(999);
const size = z.number().gt(0).lte(1e5);
const named = { key: words(60), name: words(80) };
const guide = z
  .object({ revisionId: id, name: words(80), revision: z.int().gte(1) })
  .nullable()
  .default(null);
const screwsOut = z.object({
  size: words(40),
  lengthMm: size.nullable().default(null),
  count: pieces,
  washers: pieces.default(0),
  where: text(80).trim().default(""),
});
const screwsBack = z.array(screwsOut.extend({ in: pieces, washersIn: pieces.default(0) })).max(20);
const few = <T extends z.ZodType>(item: T, most: number) => z.array(item).max(most).default([]);

export const partOffInput = z.object({
  kind: z.literal("part-off"),
  ...named,
  guide,
  /** null: nobody counted them. */
  screws: z.array(screwsOut).max(20).nullable(),
  side: text(60).trim().default(""),
  facing: text(80).trim().default(""),
  mark: text(80).trim().default(""),
  spacers: few(z.object({ widthMm: size, count: z.int().gte(1).lte(99), race: z.enum(races) }), 12),
  massKg: z.number().gte(0).lte(1e6).nullable().default(null),
  conditions: few(z.enum(partConditions), partConditions.length),
  fate: z.enum(partFates).nullable().default(null),
  beforeHidden: text(200).trim().default(""),
  note: text(400).trim().default(""),
});
export const partOnInput = z.object({
  kind: z.literal("part-on"),
  ...named,
  guide,
  screws: screwsBack,
  state: z.enum(screwStates).nullable(),
  fresh: z.boolean().default(false),
  asItWentOn: text(200).trim().default(""),
  note: text(400).trim().default(""),
});
export const partScrewsInput = z.object({
  kind: z.literal("part-screws"),
  key: words(60),
  screws: screwsBack,
  state: z.enum(screwStates),
  /** Screws dressed one by one so far; the last of them makes all of it dressed. */
  dressed: pieces.default(0),
});
export const turnedInput = z.object({
  kind: z.literal("turned"),
  way: z.enum(turnWays),
  feel: z.enum(turnFeels),
  found: few(z.enum(turnFinds), turnFinds.length),
  did: few(z.enum(turnDeeds), turnDeeds.length),
  note: text(400).trim().default(""),
});
const laid = few(z.object({ thicknessMm: z.number().gt(0).lte(1000), count: z.int().gte(1).lte(100) }), 40);
const typed = z.array(text(40)).min(1).max(12);
export const seatInput = z.object({
  kind: z.literal("seat"),
  ...named,
  /** Depth of the seat and width of the part as typed, repeats one beside the other. */
  seat: typed,
  part: typed,
  instrumentId: id.nullable().default(null),
  race: z.enum(races).default("none"),
  /** What was laid in beside it. */
  laid,
  /** What was taken out of the stores for it (below 0). */
  stock: takings,
});

type BuiltPart<K extends keyof Bodies> = Result<{ body: Bodies[K]; namesEntry: string | null }>;

const known = (apart: Apart, key: string): PartNow | undefined => apart.parts.find((part) => part.key === key);
const alike = (a: string, b: string): boolean => a.trim().toLowerCase() === b.trim().toLowerCase();

/** A part that came off. One that is off already is refused: by its key, or one of the same name, so that no two are confused later. */
export function buildPartOff(input: z.output<typeof partOffInput>, { off }: Apart): BuiltPart<"part-off"> {
  const { kind: _kind, key, name, ...said } = input;
  const there = off.find((part) => part.key === key || alike(part.name, name));
  if (there) return refuse("part-already-off", ["name"], { name: there.name, by: there.off?.madeByName ?? "" });
  return accept({ body: { ...said, part: { key, name } }, namesEntry: null });
}

/** A part that went on: of what came out with it, how many are in. */
export function buildPartOn(input: z.output<typeof partOnInput>, apart: Apart): BuiltPart<"part-on"> {
  const { kind: _kind, key, name, ...said } = input;
  const part = known(apart, key);
  if (part?.on) return refuse("part-already-on", ["name"], { name: part.name });
  const screws = asCameOut(said.screws, part);
  if (said.state === null && screws.some((set) => set.in > 0)) return refuse("missing", ["state"]);
  const state = screws.some((set) => set.in > 0) ? said.state : null;
  return accept({
    body: { ...said, screws, state, part: { key, name: part?.name ?? name } },
    namesEntry: part?.off?.id ?? null,
  });
}

/** Screws of a part that is on, put in or tightened since. */
export function buildPartScrews(input: z.output<typeof partScrewsInput>, apart: Apart): BuiltPart<"part-screws"> {
  const part = known(apart, input.key);
  if (!part?.on) return refuse("no-such-part", ["key"]);
  const { key, name } = part;
  const screws = asCameOut(input.screws, part);
  const all = screws.reduce((sum, set) => sum + set.in, 0);
  if (input.dressed > all) return refuse("too-large", ["dressed"]);
  const state = input.dressed > 0 && input.dressed === all ? "dressed" : input.state;
  const some = state !== "dressed" && input.dressed > 0 ? { dressed: input.dressed } : {};
  return accept({ body: { part: { key, name }, screws, state, ...some }, namesEntry: part.on.id });
}

/** How many came out is what was counted then, whatever is said now. */
const asCameOut = (screws: readonly ScrewsBack[], part: PartNow | undefined): ScrewsBack[] =>
  screws.map((set, i) => {
    const out = part?.off?.body.screws?.[i];
    return out ? { ...set, ...out } : set;
  });

/** Turned by hand; what was done last and who is suspect follow from the job. */
export function buildTurned(input: z.output<typeof turnedInput>, apart: Apart): Bodies["turned"] {
  const { kind: _kind, ...said } = input;
  const called = (key: string): PartNamed => ({ key, name: known(apart, key)?.name ?? key });
  const last = apart.steps.findLast((step) => step.did === "on" || step.did === "screws");
  const found = binding([...apart.steps, { did: "turned", way: said.way, feel: said.feel }]);
  return {
    ...said,
    after:
      last && last.did !== "turned" ? { part: called(last.part), by: last.did === "screws" ? "screws" : "part" } : null,
    suspects: (found?.suspects ?? []).map(({ part, by }) => ({ part: called(part), by })),
  };
}

/** A part measured against its seat. Lengths are read as typed, bare ones in mm. */
export function buildSeat(
  input: z.output<typeof seatInput>,
  apart: Apart,
  instrument: Instrument | null,
): BuiltPart<"seat"> {
  if (instrument && instrument.dimension !== "length") return refuse("not-of-this-kind", ["instrumentId"]);
  const seats = lengths(input.seat, "seat");
  if (!seats.ok) return seats;
  const parts = lengths(input.part, "part");
  if (!parts.ok) return parts;
  const judged = seatWasher({
    seatMm: seats.value,
    partMm: parts.value,
    expandedUncertaintyMm: instrument && widthUncertainty(instrument),
    stock: [],
  });
  if (!judged.ok) return judged;
  const { seatMm, partMm, gapMm, expandedUncertaintyMm, says } = judged.value;
  const total = input.laid.reduce((sum, { thicknessMm, count }) => sum + thicknessMm * count, 0);
  return accept({
    body: {
      part: { key: input.key, name: known(apart, input.key)?.name ?? input.name },
      seatMm,
      partMm,
      typed: { seat: input.seat, part: input.part },
      instrument: instrument && { id: instrument.id, name: instrument.name },
      gapMm,
      expandedUncertaintyMm,
      says,
      laid: input.laid,
      leftMm: gapMm - total,
      race: input.race,
    },
    namesEntry: known(apart, input.key)?.off?.id ?? null,
  });
}

/** Of one width, k = 2, mm: zero and reading each by a step, and the certificate. */
export const widthUncertainty = (instrument: Instrument): number =>
  differenceUncertainty(instrument.resolution, instrument.expandedUncertainty, instrument.coverage);

function lengths(typed: readonly string[], field: string): Result<number[]> {
  const found: number[] = [];
  for (const [i, one] of typed.entries()) {
    const parsed = parseQuantity(one, "length", "mm");
    if (!parsed.ok) return refuse(parsed.refusal.code, [field, i], parsed.refusal.facts);
    if (parsed.value.value <= 0) return refuse("too-small", [field, i]);
    found.push(parsed.value.value);
  }
  return accept(found);
}
