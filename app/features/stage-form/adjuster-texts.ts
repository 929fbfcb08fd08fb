import type { Reader } from "~/app/features/words/reader";
import { type Adjuster, canMove } from "~/core/advice";
import type { AdjusterMeans, StageAdjuster, StageId } from "~/core/records";
import { numberText as n } from "../form/number-text";
import { type Read, TextReader } from "../form/text-reader";
import type { Texts } from "../form/texts";
import { kindForms, kindIn } from "../kinds/forms";

export type AdjusterInput = Omit<StageAdjuster, "id" | "revision">;

/** The law behind each way in which a technician knows an adjuster. */
export const lawOfMeans: Record<AdjusterMeans, AdjusterType> = {
  slot: "slide",
  "jack-screw": "screw",
  "jack-screws": "screw",
  pivot: "pivot",
  lever: "pivot",
  eccentric: "eccentric",
  shims: "shims",
  spacers: "shims",
  "roller-holes": "slide",
  "roller-diameter": "shims",
  stop: "shims",
};

/** null: nothing to adjust. */
export function meansOf(texts: Texts): AdjusterMeans | null {
  const possible = kindForms[kindIn(texts)].means;
  if (texts["adjuster.means"] === "none" || possible.length === 0) return null;
  return possible.find((means) => means === texts["adjuster.means"]) ?? possible[0] ?? null;
}

export const adjusterTypes = ["slide", "screw", "pivot", "eccentric", "shims"] as const;
export type AdjusterType = (typeof adjusterTypes)[number];
export function adjusterTypeOf(texts: Texts): AdjusterType {
  const means = meansOf(texts);
  return means ? lawOfMeans[means] : "slide";
}

/** The adjuster's law alone, as its picture needs it. */
export function readLaw(texts: Texts): Read<Adjuster> {
  const read = new TextReader(texts);
  const over0 = (name: string) => {
    const value = read.length(name);
    read.want(name, value > 0, "too-small");
    return value;
  };
  const angleDeg = () => read.angleOr("adjuster.angle", 0);
  // "M8" is a thread's own lead.
  const leadMm = () => coarsePitch[read.text("adjuster.lead").toUpperCase()] ?? over0("adjuster.lead");
  const law = (): Adjuster => {
    switch (adjusterTypeOf(texts)) {
      case "slide":
        return { type: "slide", angleDeg: angleDeg() };
      case "screw":
        return {
          type: "screw",
          leadMm: leadMm(),
          angleDeg: angleDeg(),
          oneWay: read.text("adjuster.oneWay") === "yes",
          springReturn: read.text("adjuster.spring") === "yes",
        };
      case "pivot":
        return {
          type: "pivot",
          armMm: over0("adjuster.arm"),
          leverMm: over0("adjuster.lever"),
          angleDeg: read.has("adjuster.angle") ? angleDeg() : 90,
        };
      case "eccentric":
        return { type: "eccentric", throwMm: over0("adjuster.throw"), angleDeg: angleDeg() };
      case "shims":
        return { type: "shims", perMm: shimsPerMm(texts, read) };
    }
  };
  const [min, max] = ["adjuster.back", "adjuster.on"].map((name) => (read.has(name) ? read.number(name) : null));
  const adjuster: Adjuster = law();
  if (min !== null && max !== null && min !== undefined && max !== undefined) {
    read.want("adjuster.back", -Math.abs(min) <= Math.abs(max), "window-upside-down");
    adjuster.travel = { min: -Math.abs(min), max: Math.abs(max) };
  } else if (min !== max) read.want(min === null ? "adjuster.back" : "adjuster.on", false, "missing");
  if (Object.keys(read.problems).length === 0) read.want("adjuster.angle", canMove(adjuster), "cannot-move");
  return read.done(adjuster);
}

/** Coarse pitches of metric threads, mm (ISO 261). */
const coarsePitch: Readonly<Record<string, number>> = {
  M3: 0.5,
  M4: 0.7,
  M5: 0.8,
  M6: 1,
  M8: 1.25,
  M10: 1.5,
  M12: 1.75,
  M16: 2,
  M20: 2.5,
  M24: 3,
};

/** What a mm of shim does: its size as typed, its sense as somebody said it. There is no usual sense: the sign is where most slips are made. */
function shimsPerMm(texts: Texts, read: TextReader): number {
  // A thicker roller moves the belt's line by half of what its diameter grows.
  if (meansOf(texts) === "roller-diameter") return read.numberOr("adjuster.perMm", 0.5);
  const sense = shimSense(texts);
  read.want("adjuster.sense", sense !== null, "sense-not-said");
  const size = read.numberOr("adjuster.perMm", 1);
  read.want("adjuster.perMm", size > 0, "too-small");
  return size * (sense ?? 1);
}

/** +1: one more shim opens the centres, opens the gap, or sends a bevel's member away from the apex; null: nobody has said. */
export const shimSense = (texts: Texts): 1 | -1 | null =>
  texts["adjuster.sense"] === "opens" ? 1 : texts["adjuster.sense"] === "closes" ? -1 : null;

/** What an adjuster and its directions are called where nobody gave them other names; which way is which, its picture shows. */
export const usualNames: Record<AdjusterMeans, { name: string; plus: string; minus: string }> = {
  slot: { name: "Slot", plus: "away", minus: "closer" },
  "jack-screw": { name: "Jack screw", plus: "in", minus: "out" },
  "jack-screws": { name: "Jack screws", plus: "in", minus: "out" },
  pivot: { name: "Pivot", plus: "away", minus: "closer" },
  lever: { name: "Lever", plus: "away", minus: "closer" },
  eccentric: { name: "Eccentric", plus: "clockwise", minus: "counter-clockwise" },
  shims: { name: "Shims", plus: "more", minus: "fewer" },
  spacers: { name: "Spacers", plus: "more", minus: "fewer" },
  "roller-holes": { name: "Roller", plus: "up the row", minus: "down the row" },
  "roller-diameter": { name: "Roller", plus: "thicker", minus: "thinner" },
  stop: { name: "Spacer under the stop", plus: "thicker", minus: "thinner" },
};

const usualStep: Record<AdjusterType, number> = { slide: 0.01, screw: 0.0625, pivot: 0.1, eccentric: 1, shims: 0.01 };

export function readAdjuster(texts: Texts): Read<AdjusterInput> {
  const means = meansOf(texts);
  if (!means) return { value: nothing, problems: null };
  const law = readLaw(texts);
  const read = new TextReader(texts);
  const type = lawOfMeans[means];
  const usual = usualNames[means];
  const step = read.numberOr("adjuster.step", usualStep[type]);
  read.want("adjuster.step", step > 0, "too-small");
  read.want("adjuster.step", means !== "roller-holes" || read.has("adjuster.step"), "missing");
  const input = {
    name: read.text("adjuster.name") || usual.name,
    means,
    alsoMoves: readAlso(read, texts),
    step,
    positiveWord: read.text("adjuster.plus") || usual.plus,
    negativeWord: read.text("adjuster.minus") || usual.minus,
    hand: type === "screw" ? (read.text("adjuster.hand") === "left" ? ("left" as const) : ("right" as const)) : null,
    hasScale: read.text("adjuster.scale") !== "no",
    seenFrom: read.text("adjuster.from"),
  };
  const problems = { ...law.problems, ...read.problems };
  return law.value && Object.keys(problems).length === 0
    ? { value: { ...input, adjuster: law.value }, problems: null }
    : { value: null, problems };
}

const nothing: AdjusterInput = {
  name: "Nothing to adjust",
  adjuster: null,
  means: null,
  alsoMoves: [],
  step: 1,
  positiveWord: "+",
  negativeWord: "−",
  hand: null,
  hasScale: true,
  seenFrom: "",
};

/** "adjuster.also.ID.on" of each stage that the same move sets as well; beside it how far its centres part a mm of this one's. */
function readAlso(read: TextReader, texts: Texts): AdjusterInput["alsoMoves"] {
  return Object.keys(texts).flatMap((name) => {
    const stageId = /^adjuster\.also\.([^.]+)\.on$/.exec(name)?.[1];
    if (!stageId || !read.has(name)) return [];
    return [{ stageId: stageId as StageId, perMm: read.numberOr(`adjuster.also.${stageId}.perMm`, 1) }];
  });
}

/** Of adjusters from before it was asked how the technician knows them. */
export const meansOfLaw: Record<AdjusterType, AdjusterMeans> = {
  slide: "slot",
  screw: "jack-screw",
  pivot: "pivot",
  eccentric: "eccentric",
  shims: "shims",
};

export function lawTexts(reader: Reader, law: Adjuster | null): Texts {
  if (!law) return {};
  return {
    "adjuster.angle": law.type === "shims" ? "" : n(reader, law.angleDeg),
    "adjuster.lead": law.type === "screw" ? n(reader, law.leadMm) : "",
    "adjuster.oneWay": law.type === "screw" && law.oneWay ? "yes" : "",
    "adjuster.spring": law.type === "screw" && law.springReturn ? "yes" : "",
    "adjuster.arm": law.type === "pivot" ? n(reader, law.armMm) : "",
    "adjuster.lever": law.type === "pivot" ? n(reader, law.leverMm) : "",
    "adjuster.throw": law.type === "eccentric" ? n(reader, law.throwMm) : "",
    "adjuster.perMm": law.type === "shims" ? n(reader, Math.abs(law.perMm)) : "",
    "adjuster.sense": law.type === "shims" ? (law.perMm > 0 ? "opens" : "closes") : "",
    "adjuster.back": n(reader, law.travel && Math.abs(law.travel.min)),
    "adjuster.on": n(reader, law.travel?.max),
  };
}
