import { type PaperStrip, paperStrip } from "../gears";
import { type GoNoGo, goNoGo, judge, type Limits, type Verdict } from "../limits";
import { degrees } from "../numerics";
import { type PrintQuestion, type PrintRead, readPrint } from "../prints";
import { accept, type Result } from "../quantity";
import { type FeelGrade, rockedWheel, type StageElement } from "../stages";
import { feltArc, feltPlaces, type GradeAt, judgeGrades } from "./feel";
import type { FeltJudged } from "./schema";
import type { PaperPrint } from "./vocabulary";

const nothingMissing = { feasible: true, missing: 0, tightTooth: null, nextTooth: null } as const;

/** A sheet as it is held into the mesh. */
export type Sheet = Pick<PaperStrip, "thicknessMm" | "flanks" | "pressed" | "toleranceMm">;

/** Whether a strip can be rolled through: where two flanks mesh. */
export const takesPaper = (element: StageElement): boolean => {
  const wheel = rockedWheel(element);
  return wheel.ok && wheel.value !== null;
};

/** A sheet in the mesh of an element; null where none can be rolled through. */
export function stripIn(element: StageElement, sheet: Sheet): PaperStrip | null {
  const wheel = rockedWheel(element);
  if (!wheel.ok || !wheel.value) return null;
  // The angle whose cosine is the normal part of the circumferential backlash, be it of a spur, helical, bevel or worm mesh.
  const workingPressureAngleDeg = degrees(Math.acos(wheel.value.normalPerCircumferential));
  return { ...sheet, pressureAngleDeg: workingPressureAngleDeg, helixAngleDeg: 0, workingPressureAngleDeg };
}

/** What a strip in the mesh stands for, and whether that is inside the limits; null where there are none to judge it by. */
export type StripJudged = { circumferentialMm: number; expandedUncertaintyMm: number; verdict: Verdict | null };

export function judgeStrip(strip: PaperStrip, limits: Limits | null): StripJudged {
  const { circumferentialMm, expandedUncertaintyMm } = paperStrip(strip);
  const verdict = limits ? judge(circumferentialMm, limits, expandedUncertaintyMm).verdict : null;
  return { circumferentialMm, expandedUncertaintyMm, verdict };
}

/**
 * How tight a print of paper says the mesh is there. A strip that came through evenly says that there is about as much backlash as it stands
 * for: right if that is inside the limits, and as far from right as the strip is if it is not. Of a sheet that nobody measured it is a feel.
 */
export function gradeOfPaper(print: PaperPrint, strip: StripJudged | null, limits: Limits | null): FeelGrade {
  if (print === "falls out") return 1;
  if (print === "cut through") return 5;
  if (!strip || strip.verdict === null || strip.verdict === "conforms" || !limits) return 3;
  const { lo = Number.NEGATIVE_INFINITY, hi = Number.POSITIVE_INFINITY } = limits;
  const tight = strip.circumferentialMm - lo < hi - strip.circumferentialMm;
  if (strip.verdict === "undecided") return tight ? 4 : 2;
  return tight ? 5 : 1;
}

/** Prints that say that the shafts are not parallel, whatever their distance. */
const skewed: ReadonlySet<PaperPrint> = new Set(["bunched at one end", "askew"]);

/** A round with paper: at every place the print of the strip. Where it was tried at one place alone the rest of the turn is not known. */
export function judgePaper(
  prints: readonly { tooth: number; print: PaperPrint }[],
  strip: StripJudged | null,
  {
    element,
    arcDeg,
    limits,
  }: { element: StageElement; arcDeg: readonly [number, number] | null; limits: Limits | null },
): FeltJudged | null {
  const grades = prints.map(({ tooth, print }): GradeAt => ({ tooth, grade: gradeOfPaper(print, strip, limits) }));
  const places = feltPlaces(element);
  const judged = judgeGrades(grades, places, feltArc(places, arcDeg));
  if (!judged) return null;
  const skew = prints.some(({ print }) => skewed.has(print));
  return skew ? { ...judged, by: "paper", skew, verdict: "outside" } : { ...judged, by: "paper" };
}

/** A contact print as evidence: right only where both flanks were printed, for one alone cannot tell inclined from crossed. */
export function judgePrint(question: PrintQuestion): Result<{ read: PrintRead; judged: FeltJudged }> {
  const read = readPrint(question);
  if (!read.ok) return read;
  const { ok, findings } = read.value;
  const side = findings.includes("deep") ? "tight" : findings.includes("high") ? "loose" : null;
  const judged: FeltJudged = {
    ...nothingMissing,
    by: "print",
    verdict: !ok ? "outside" : question.prints.length === 2 ? "inside" : "not-known",
    side,
    step: side === "tight" ? "apart" : side === "loose" ? "together" : "none",
    ...(!ok && side === null ? { skew: true } : {}),
  };
  return accept({ read: read.value, judged });
}

/** How much of what is judged lies in a gap that a feeler or pin finds: between the flanks the normal part, of a plain gap all of it. */
export function gapPerJudged(element: StageElement): number {
  const wheel = rockedWheel(element);
  return wheel.ok && wheel.value ? wheel.value.normalPerCircumferential : 1;
}

export type PinsTried = { goesMm: number | null; stopsMm: number | null; toleranceMm: number };

/** A gap tried with pins, drills or feelers at one place, against the limits of what is judged; `sizesMm` on hand, for the next one. */
export function judgePins(
  { goesMm, stopsMm, toleranceMm }: PinsTried,
  element: StageElement,
  limits: Limits | null,
  sizesMm: readonly number[] = [],
): Result<{ gap: GoNoGo; judged: FeltJudged }> {
  const per = gapPerJudged(element);
  const scaled = (value: number | undefined) => (value === undefined ? undefined : value * per);
  const inGap = limits && { lo: scaled(limits.lo), hi: scaled(limits.hi) };
  const gap = goNoGo({
    goesMm: goesMm ?? undefined,
    stopsMm: stopsMm ?? undefined,
    toleranceMm,
    ...(inGap ? { limits: inGap } : {}),
    ...(sizesMm.length > 0 ? { sizesMm } : {}),
  });
  if (!gap.ok) return gap;
  const { verdict, highMm } = gap.value;
  const outside = verdict === "does-not-conform";
  const tight = outside && highMm !== null && inGap?.lo !== undefined && highMm <= inGap.lo + 1e-9;
  const side = outside ? (tight ? "tight" : "loose") : null;
  return accept({
    gap: gap.value,
    judged: {
      ...nothingMissing,
      by: "pins",
      verdict: verdict === undefined ? "not-known" : outside ? "outside" : verdict === "conforms" ? "inside" : "near",
      side,
      step: side === "tight" ? "apart" : side === "loose" ? "together" : "none",
    },
  });
}
