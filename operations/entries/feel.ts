import * as z from "zod";
import {
  type Bodies,
  canBeFelt,
  feelMethods,
  feltArc,
  feltPlaces,
  judgeFelt,
  judgePaper,
  judgePins,
  judgePrint,
  judgeStrip,
  paperPrints,
  roundPhases,
  stripIn,
  takesPaper,
} from "../../core/logbook";
import { printKinds, usualFilmMm } from "../../core/prints";
import { accept, parseQuantity, type RefusalOf, type Result, refuse } from "../../core/quantity";
import type { Stage } from "../../core/records";
import { feels, feelsOf, feltAs, printable } from "../../core/stages";
import { text, words } from "../input";

const tooth = z.number().int().gte(1).lte(10_000);
const share = z.number().gte(0).lte(1);
const span = z.object({ from: share, to: share });
const size = z.number().gt(0).lte(1000);

export const feelInput = z.object({
  kind: z.literal("feel"),
  phase: z.enum(roundPhases),
  method: z.enum(feelMethods),
  /** Which gear of a switchable one. */
  gear: words(40).optional(),
  places: z.array(z.object({ tooth, feel: z.enum(feels) })).max(1000),
  /** Of a motor that stays coupled, on one turn of the part. */
  magnetSteps: z.number().int().gte(1).lte(10_000).optional(),
  /** Where somebody says that the tight spot is, and has painted it. */
  here: tooth.optional(),
  /** A strip of paper, and what it looked like where it was rolled through. */
  paper: z
    .object({
      /** null: nobody measured it. */
      sheet: z
        .object({
          thicknessMm: z.number().gt(0).lte(2),
          flanks: z.literal([1, 2]),
          pressed: z.number().gt(0).lte(1),
          toleranceMm: z.number().gte(0).lte(1),
        })
        .nullable(),
      prints: z
        .array(z.object({ tooth, print: z.enum(paperPrints) }))
        .min(1)
        .max(1000),
    })
    .optional(),
  /** A contact print, as it was marked on one tooth of the larger gear. */
  print: z
    .object({
      kind: z.enum(printKinds),
      prints: z
        .array(z.object({ flank: z.enum(["drive", "coast"]), depth: span, length: span, diagonal: z.boolean() }))
        .min(1)
        .max(2),
      boltSpanMm: size.nullable(),
      /** null: nobody said; the usual one is reckoned with. */
      filmMm: z.number().gt(0).lte(1).nullable(),
      /** Where the stage does not know its teeth. */
      wholeDepthMm: size.nullable().default(null),
      faceWidthMm: size.nullable().default(null),
    })
    .optional(),
  /** Pins, drills or feelers, called as they were typed. */
  pins: z
    .object({ tooth: tooth.nullable(), goes: text(40), stops: text(40), toleranceMm: z.number().gte(0).lte(10) })
    .optional(),
});
type Input = z.output<typeof feelInput>;
type Evidence = Pick<Bodies["feel"], "judged" | "paper" | "print" | "pins">;

/**
 * A round by hand with what it says: words of feel, paper, a contact print or pins. The verdict is marked as one by hand by being of this
 * kind; everything in it is worked out here from what was felt, marked or tried.
 */
export function buildFeel(input: Input, stage: Stage): Result<Bodies["feel"]> {
  const { element } = stage.geometry;
  const beyond = placeBeyond(input, feltPlaces(element));
  if (beyond) return { ok: false, refusal: beyond };
  const evidence = evidenceOf(input, stage);
  if (!evidence.ok) return evidence;
  return accept({
    phase: input.phase,
    method: methodOf(input),
    gear: input.gear ?? null,
    of: feltPlaces(element),
    places: input.paper || input.print || input.pins ? [] : input.places,
    ...(input.magnetSteps ? { magnetSteps: input.magnetSteps } : {}),
    ...(input.here ? { here: input.here } : {}),
    ...evidence.value,
  });
}

/** What it was tried with names the method; words of feel stand beside none of it. */
function methodOf({ method, paper, print, pins }: Input): Input["method"] {
  if (paper) return "paper strip";
  if (print) return "marking paint";
  return pins ? "pins" : method;
}

/** A place that the part does not have. */
function placeBeyond({ places, paper, pins, here }: Input, teeth: number): RefusalOf<"no-such-tooth"> | null {
  const said = [
    ...places.map(({ tooth }, i) => ({ tooth, path: ["places", i, "tooth"] })),
    ...(paper?.prints ?? []).map(({ tooth }, i) => ({ tooth, path: ["paper", "prints", i, "tooth"] })),
    ...(here ? [{ tooth: here, path: ["here"] }] : []),
    ...(pins?.tooth ? [{ tooth: pins.tooth, path: ["pins", "tooth"] }] : []),
  ];
  const beyond = said.find(({ tooth }) => tooth > teeth);
  return beyond ? { code: "no-such-tooth", path: beyond.path, facts: { tooth: beyond.tooth, teeth } } : null;
}

function evidenceOf(input: Input, stage: Stage): Result<Evidence> {
  const { paper, print, pins } = input;
  if (paper) return byPaper(paper, stage);
  if (print) return byPrint(print, stage);
  if (pins) return byPins(pins, stage);
  return byWords(input, stage);
}

function byWords({ places, magnetSteps }: Input, { geometry }: Stage): Result<Evidence> {
  const { element, arcDeg } = geometry;
  const scale = feltAs(element);
  if (!canBeFelt(element) || scale === null) return refuse("no-words-for-this-kind", ["places"]);
  if (places.length === 0) return refuse("no-words", ["places"]);
  const other = places.findIndex(({ feel }) => !feelsOf(scale).includes(feel));
  if (other >= 0) return refuse("no-words-for-this-kind", ["places", other, "feel"]);
  const of = feltPlaces(element);
  const judged = judgeFelt(places, of, feltArc(of, arcDeg), magnetSteps ?? null);
  return judged ? accept({ judged }) : refuse("outside-the-arc", ["places"]);
}

function byPaper({ prints, sheet }: NonNullable<Input["paper"]>, { geometry, limits }: Stage): Result<Evidence> {
  const { element, arcDeg } = geometry;
  if (!takesPaper(element)) return refuse("no-words-for-this-kind", ["paper"]);
  const strip = sheet && stripIn(element, sheet);
  const means = strip && judgeStrip(strip, limits);
  const judged = judgePaper(prints, means, { element, arcDeg, limits });
  return judged
    ? accept({ judged, paper: { prints, sheet: sheet && means && { ...sheet, ...means } } })
    : refuse("outside-the-arc", ["paper", "prints"]);
}

function byPrint(marked: NonNullable<Input["print"]>, { geometry }: Stage): Result<Evidence> {
  const mesh = printable(geometry.element);
  if (!mesh?.kinds.includes(marked.kind)) return refuse("no-words-for-this-kind", ["print"]);
  const { kind, prints, boltSpanMm, filmMm } = marked;
  const wholeDepthMm = mesh.wholeDepthMm ?? marked.wholeDepthMm;
  const faceWidthMm = mesh.faceWidthMm ?? marked.faceWidthMm;
  if (wholeDepthMm === null) return refuse("missing", ["print", "wholeDepthMm"]);
  const spiral = kind === "bevel" ? { spiral: mesh.spiral } : {};
  const asked = { kind, prints, wholeDepthMm, pressureAngleDeg: mesh.pressureAngleDeg, ...spiral };
  const read = judgePrint({
    ...asked,
    filmMm: filmMm ?? usualFilmMm,
    ...(faceWidthMm === null ? {} : { faceWidthMm }),
    ...(boltSpanMm === null ? {} : { boltSpanMm }),
  });
  if (!read.ok) return { ok: false, refusal: { ...read.refusal, path: ["print", ...read.refusal.path] } };
  const { findings, moves } = read.value.read;
  return accept({ judged: read.value.judged, print: { ...asked, filmMm, faceWidthMm, boltSpanMm, findings, moves } });
}

function byPins(
  { tooth, goes, stops, toleranceMm }: NonNullable<Input["pins"]>,
  { geometry, limits }: Stage,
): Result<Evidence> {
  const read = (typed: string) => (typed.trim() === "" ? null : parseQuantity(typed, "length", "mm"));
  const [went, stopped] = [read(goes), read(stops)];
  if (went && !went.ok) return refuse(went.refusal.code, ["pins", "goes"], went.refusal.facts);
  if (stopped && !stopped.ok) return refuse(stopped.refusal.code, ["pins", "stops"], stopped.refusal.facts);
  const tried = { goesMm: went?.value.value ?? null, stopsMm: stopped?.value.value ?? null, toleranceMm };
  const found = judgePins(tried, geometry.element, limits);
  if (!found.ok)
    return refuse(
      found.refusal.code,
      ["pins", found.refusal.path[0] === "stopsMm" ? "stops" : "goes"],
      found.refusal.facts,
    );
  const { lowMm, highMm } = found.value.gap;
  return accept({ judged: found.value.judged, pins: { tooth, goes, stops, ...tried, lowMm, highMm } });
}
