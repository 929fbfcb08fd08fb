import * as z from "zod";
import { type Bodies, type EntryOf, knownShafts, type MachineShaft } from "../../core/logbook";
import { accept, parseQuantity, type Result, refuse } from "../../core/quantity";
import type { Instrument } from "../../core/records";
import {
  planeOnPart,
  planesWanted,
  type ReadWidth,
  readWidth,
  type Shaft,
  shaftPartRules,
  shaftPhases,
  standOnShaft,
} from "../../core/shafts";
import { id, text, words } from "../input";
import { takings } from "../takings";
import { widthUncertainty } from "./parts";

const typed = z.array(text(40)).max(12).default([]);
const instrumentId = id.nullable().default(null);

export const shaftInput = z.object({
  kind: z.literal("shaft"),
  shaftId: id,
  revisionId: id,
  phase: z.enum(shaftPhases),
  instrumentId,
  /** Face to face and each width as typed, repeats one beside the other, bare ones in mm; empty: not measured, as it is drawn. */
  length: typed,
  widths: z.array(z.object({ key: words(60), typed })).max(60),
  laid: z
    .array(
      z.object({
        after: words(60),
        spacers: z
          .array(
            z.object({
              widthMm: z.number().gt(0).lte(1e4),
              count: z.int().gte(1).lte(99),
              made: z.boolean().default(false),
            }),
          )
          .max(40),
      }),
    )
    .max(61),
  /** The end float as read with a dial or feelers; empty: not read. */
  float: z.object({ typed: text(40).trim(), instrumentId }).default({ typed: "", instrumentId: null }),
  seenTo: z
    .array(z.object({ key: words(60), rule: z.enum(shaftPartRules), done: z.boolean() }))
    .max(400)
    .default([]),
  note: text(400).trim().default(""),
  /** What was taken out of the stores for it (below 0), and put back. */
  stock: takings,
});
export type ShaftInput = z.output<typeof shaftInput>;

type WidthRead = Bodies["shaft"]["length"];

/** A shaft as it was found or fitted, judged by its own windows. Where nothing was measured the drawn size stands, and is said to. */
export function buildShaft(
  input: ShaftInput,
  shafts: readonly MachineShaft[],
  here: readonly EntryOf<"shaft">[],
  instruments: readonly Instrument[],
): Result<Bodies["shaft"]> {
  const known = knownShafts(shafts, here);
  const shaft = known.find((one) => one.shaft.shaftId === input.shaftId)?.shaft;
  if (!shaft) return refuse("no-shaft-here", ["shaftId"]);
  if (shaft.id !== input.revisionId) return refuse("revised-meanwhile", ["revisionId"]);
  const used = instrumentIn(instruments, input.instrumentId, ["instrumentId"]);
  if (!used.ok) return used;
  const floatWith = instrumentIn(instruments, input.float.instrumentId, ["float", "instrumentId"]);
  if (!floatWith.ok) return floatWith;
  const u = used.value && widthUncertainty(used.value);
  const length = widthOf(input.length, shaft.lengthMm, u, ["length"]);
  if (!length.ok) return length;
  const widths: WidthRead[] = [];
  for (const part of shaft.parts) {
    const at = input.widths.findIndex(({ key }) => key === part.id);
    const width = widthOf(input.widths[at]?.typed ?? [], part.widthMm, u, ["widths", part.id]);
    if (!width.ok) return width;
    widths.push(width.value);
  }
  const stray = input.laid.findIndex(
    ({ after }) => after !== "left-face" && !shaft.parts.some((part) => part.id === after),
  );
  if (stray >= 0) return refuse("no-such-part", ["laid", stray, "after"]);
  const read = floatOf(input.float.typed);
  if (!read.ok) return read;
  const readU = floatWith.value && widthUncertainty(floatWith.value);
  const floatRead = read.value === null ? null : { mm: read.value, expandedUncertaintyMm: readU };
  const wanted = planesWanted(shaft, known).flatMap(({ fromFaceMm, ...one }) =>
    fromFaceMm === null ? [] : [{ ...one, fromFaceMm }],
  );
  const stands = standOnShaft({
    length: length.value,
    parts: shaft.parts.map((part, i) => {
      const width = widths[i] as WidthRead;
      const plane = wanted.find(({ partId }) => partId === part.id);
      return {
        ...width,
        key: part.id,
        ...(plane && part.plane
          ? {
              planeMm: {
                onPartMm: planeOnPart(part, width.mm),
                wantedMm: plane.fromFaceMm,
                toleranceMm: part.plane.toleranceMm,
              },
            }
          : {}),
      };
    }),
    laidMm: laidIn(shaft, input.laid),
    endFloat: shaft.endFloat,
    floatRead,
  });
  const { shaftId, id: revisionId, name, revision, parts } = shaft;
  const named = (instrument: Instrument | null) => instrument && { id: instrument.id, name: instrument.name };
  return accept({
    shaft: { shaftId, revisionId, name, revision },
    phase: input.phase,
    instrument: named(used.value),
    length: length.value,
    parts: parts.map((part, i) => ({
      ...(widths[i] as WidthRead),
      key: part.id,
      name: part.name,
      leftMm: stands.parts[i]?.leftMm ?? 0,
    })),
    laid: input.laid.filter(({ spacers }) => spacers.length > 0),
    planes: stands.planes.map((plane) => {
      const part = parts.find((one) => one.id === plane.key) as Shaft["parts"][number];
      const want = wanted.find(({ partId }) => partId === plane.key);
      return {
        ...plane,
        name: part.name,
        meets: want?.meets ? { shaft: want.meets.shaftName, part: want.meets.partName, known: want.meets.known } : null,
        wantedMm: want?.fromFaceMm ?? 0,
        toleranceMm: part.plane?.toleranceMm ?? 0,
      };
    }),
    endFloat: {
      ...shaft.endFloat,
      ...stands.endFloat,
      readMm: read.value,
      typed: input.float.typed,
      readInstrument: read.value === null ? null : named(floatWith.value),
      readExpandedUncertaintyMm: read.value === null ? null : readU,
    },
    seenTo: input.seenTo.filter(({ key }) => parts.some((part) => part.id === key)),
    note: input.note,
  });
}

/** What lies before each part and behind the last one, mm. */
export const laidIn = ({ parts }: Pick<Shaft, "parts">, laid: ShaftInput["laid"]): number[] =>
  ["left-face", ...parts.map(({ id: own }) => own)].map((after) =>
    laid
      .filter((gap) => gap.after === after)
      .flatMap(({ spacers }) => spacers)
      .reduce((sum, { widthMm, count }) => sum + widthMm * count, 0),
  );

function instrumentIn(
  instruments: readonly Instrument[],
  wanted: string | null,
  path: string[],
): Result<Instrument | null> {
  if (wanted === null) return accept(null);
  const found = instruments.find((candidate) => candidate.id === wanted);
  if (!found) return refuse("no-such-instrument", path);
  return found.dimension === "length" ? accept(found) : refuse("not-of-this-kind", path);
}

/** A width as it was read, or as it is drawn; one that is neither is missing. */
export function widthOf(
  said: readonly string[],
  drawnMm: number | null,
  expandedUncertaintyMm: number | null,
  path: (string | number)[],
): Result<WidthRead> {
  if (said.length === 0)
    return drawnMm === null
      ? refuse("missing", path)
      : accept({ mm: drawnMm, typed: null, expandedUncertaintyMm: null });
  const read: number[] = [];
  for (const one of said) {
    const parsed = parseQuantity(one, "length", "mm");
    if (!parsed.ok) return refuse(parsed.refusal.code, path, parsed.refusal.facts);
    if (parsed.value.value <= 0) return refuse("too-small", path);
    read.push(parsed.value.value);
  }
  const width: ReadWidth = readWidth(read, expandedUncertaintyMm);
  return accept({ ...width, typed: [...said] });
}

function floatOf(said: string): Result<number | null> {
  if (said === "") return accept(null);
  const parsed = parseQuantity(said, "length", "mm");
  if (!parsed.ok) return refuse(parsed.refusal.code, ["float", "typed"], parsed.refusal.facts);
  return parsed.value.value < 0 ? refuse("too-small", ["float", "typed"]) : accept(parsed.value.value);
}
