import { type EntryOf, knownShafts, type MachineShaft } from "~/core/logbook";
import { accept, type Result, refuse, severalQuantities } from "~/core/quantity";
import type { Instrument, StoreItem } from "~/core/records";
import {
  type KnownShaft,
  type PlaneWanted,
  planesWanted,
  type ReadWidth,
  rulesFor,
  type Shaft,
  type ShaftPlan,
  shaftQuestion,
} from "~/core/shafts";
import type { ShaftAnswer, ShaftQuestion } from "~/core/stacks";
import type { Work } from "~/operations/build-entry";
import { type ShaftInput, widthOf } from "~/operations/entries/shaft";
import { readPieces } from "../../stacks/stack-words";
import type { Reader } from "../../words/reader";
import { lengthUnit, withUnit } from "../../words/spoken";
import { sizeOf, takingsOf } from "../advise/drawer-items";

type Texts = Readonly<Record<string, string>>;
export type Laid = ShaftInput["laid"];

/** Of what is typed about a shaft, the name of a text. */
export const textName = (shaft: Shaft, what: string): string => `sh.${shaft.shaftId.slice(-8)}.${what}`.slice(0, 60);

/** A width as typed, repeats one beside the other, bare ones with the reader's unit. */
export const widthTyped = (reader: Reader, text: string): string[] =>
  severalQuantities(text).map((one) => withUnit(one, lengthUnit(reader), "mm"));

export type ShaftNow = {
  shaft: Shaft;
  /** The last entry of this job on it, or as an earlier one fitted it. */
  before: EntryOf<"shaft"> | null;
  wanted: PlaneWanted[];
};

/** A shaft as this job has it so far. */
export function shaftNow(
  shafts: readonly MachineShaft[],
  here: readonly EntryOf<"shaft">[],
  shaftId: string,
): ShaftNow | null {
  const known: readonly (KnownShaft & { entry: EntryOf<"shaft"> | null })[] = knownShafts(shafts, here);
  const one = known.find(({ shaft }) => shaft.shaftId === shaftId);
  if (!one) return null;
  const { shaft, entry } = one;
  const last = here.findLast(({ body }) => body.shaft.shaftId === shaftId);
  return { shaft, before: last ?? entry, wanted: planesWanted(shaft, known) };
}

/** Drawers whose pieces go on the shaft: with a bore up to 1 mm over its diameter, or none that is known. Common practice. */
export const drawersFor = (shaft: Shaft, items: readonly StoreItem[]): StoreItem[] =>
  items.filter(({ kind, figures }) => {
    if (kind !== "shim" && kind !== "spacer") return false;
    const bore = figures.boreMm;
    const { diameterMm: d } = shaft;
    return d === null || typeof bore !== "number" || (bore >= d - 1e-9 && bore <= d + 1 + 1e-9);
  });

/** Pieces that lay in the shaft when it was last seen: they may go back in. */
export const piecesIn = (laid: Laid) =>
  laid.flatMap(({ spacers }) => spacers.map(({ widthMm, count }) => ({ thicknessMm: widthMm, count })));

/** What the planner is asked; refused where a width is neither measured nor drawn. */
export function questionOf(
  reader: Reader,
  { shaft, before, wanted }: ShaftNow,
  texts: Texts,
  items: readonly StoreItem[],
  expandedUncertaintyMm: number | null,
): Result<ShaftQuestion> {
  const typed = (what: string) => widthTyped(reader, texts[textName(shaft, what)] ?? "");
  const length = widthOf(typed("length"), shaft.lengthMm, null, ["length"]);
  if (!length.ok) return length;
  const widths = new Map<string, ReadWidth>();
  for (const part of shaft.parts) {
    const width = widthOf(typed(`w.${part.id}`), part.widthMm, expandedUncertaintyMm, ["widths", part.id]);
    if (!width.ok) return width;
    widths.set(part.id, width.value);
  }
  const spacers = [
    ...items.map((item) => ({ widthMm: sizeOf(item), count: Math.max(0, item.count) })),
    ...piecesIn(before?.body.laid ?? []).map(({ thicknessMm, count }) => ({ widthMm: thicknessMm, count })),
  ];
  return accept(shaftQuestion(shaft, length.value.mm, widths, wanted, spacers));
}

/** What a plan lays in each gap. */
export const laidBy = (answer: ShaftAnswer, made: { after: string; widthMm: number } | null): Laid =>
  answer.gaps.flatMap(({ after, spacers }) => {
    const all = [
      ...spacers.map((spacer) => ({ ...spacer, made: false })),
      ...(made?.after === after ? [{ widthMm: made.widthMm, count: 1, made: true }] : []),
    ];
    return all.length > 0 ? [{ after, spacers: all }] : [];
  });

export type Way = { key: string; answer: ShaftAnswer; laid: Laid };

/** The ways that a plan offers: fewest pieces first, then the one that is nearest, then one made for it; the nearest where nothing goes together. */
export function waysOf({ nearest, fewest, makings }: ShaftPlan): Way[] {
  const made = makings.slice(0, mostMakings).map((answer) => ({
    key: `made ${answer.made.after}`,
    answer,
    laid: laidBy(answer, answer.made),
  }));
  const close = { key: "nearest", answer: nearest, laid: laidBy(nearest, null) };
  if (!fewest) return made.length > 0 ? made : nearest.endFloatMm < 0 ? [] : [close];
  const few = { key: "fewest", answer: fewest, laid: laidBy(fewest, null) };
  return JSON.stringify(few.laid) === JSON.stringify(close.laid) ? [few, ...made] : [few, close, ...made];
}
const mostMakings = 2;

/** What is typed gap by gap; refused at a gap that cannot be read. */
export function laidTyped(reader: Reader, shaft: Shaft, texts: Texts): Result<Laid> {
  const laid: Laid = [];
  for (const after of ["left-face", ...shaft.parts.map(({ id }) => id)]) {
    const pieces = readPieces(reader, texts[textName(shaft, `l.${after}`)] ?? "");
    if (!pieces) return refuse("not-understood", ["laid", after]);
    if (pieces.length > 0)
      laid.push({
        after,
        spacers: pieces.map(({ thicknessMm, count }) => ({ widthMm: thicknessMm, count, made: false })),
      });
  }
  return accept(laid);
}

/** What is sent of it. */
export function shaftWork(
  reader: Reader,
  { shaft, before }: ShaftNow,
  texts: Texts,
  laid: Laid,
  phase: ShaftInput["phase"],
  items: readonly StoreItem[],
  instruments: readonly Instrument[],
): Extract<Work, { kind: "shaft" }> {
  const text = (what: string) => texts[textName(shaft, what)] ?? "";
  const instrument = (what: string) => instruments.find(({ id }) => id === text(what))?.id ?? null;
  const fromDrawer = laid.map(({ after, spacers }) => ({ after, spacers: spacers.filter(({ made }) => !made) }));
  return {
    kind: "shaft",
    shaftId: shaft.shaftId,
    revisionId: shaft.id,
    phase,
    instrumentId: instrument("with"),
    length: widthTyped(reader, text("length")),
    widths: shaft.parts.map(({ id }) => ({ key: id, typed: widthTyped(reader, text(`w.${id}`)) })),
    laid,
    float: {
      typed: withUnit(text("float"), lengthUnit(reader), "mm"),
      instrumentId: instrument("floatWith"),
    },
    seenTo:
      phase === "as found"
        ? []
        : shaft.parts.flatMap((part) =>
            rulesFor(part).map((rule) => ({ key: part.id, rule, done: text(`s.${part.id}.${rule}`) === "yes" })),
          ),
    note: text("note"),
    // What lay in was noted as found and lies on the bench: what is not used again goes back into its drawer.
    stock: phase === "as fitted" ? takingsOf(piecesIn(before?.body.laid ?? []), piecesIn(fromDrawer), items) : [],
  };
}
