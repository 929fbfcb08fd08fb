import { above, below, radians } from "../numerics";
import { accept, type Result, refuse } from "../quantity";

export const printKinds = ["spur", "ring-pinion", "bevel", "worm"] as const;
export type PrintKind = (typeof printKinds)[number];
export type PrintFlank = "drive" | "coast";
export type PrintSpan = { from: number; to: number };

/**
 * Where the compound was wiped off one painted tooth of the larger gear, as shares. Depth: 0 root to 1 tip. Length: 0 at the flange or motor
 * end; of a bevel 0 toe, 1 heel; of a worm wheel between its two faces.
 */
export type ContactPrint = { flank: PrintFlank; depth: PrintSpan; length: PrintSpan; diagonal: boolean };

export type PrintQuestion = {
  kind: PrintKind;
  prints: readonly ContactPrint[];
  wholeDepthMm: number;
  faceWidthMm?: number | undefined;
  /** Along the shaft. */
  boltSpanMm?: number | undefined;
  /** Thickness of the marking compound. */
  filmMm: number;
  pressureAngleDeg: number;
  /** Of a bevel gear only. */
  spiral?: boolean | undefined;
};

export const printFindings = [
  "deep",
  "high",
  "flanks-apart-in-depth",
  "one-end",
  "inclined",
  "crossed",
  "toe",
  "heel",
  "one-side",
  "offset",
  "flanks-apart",
  "shaft-angle",
  "diagonal",
  "short",
] as const;
export type PrintFinding = (typeof printFindings)[number];

export const printMoves = [
  "apart",
  "together",
  "pinion-in",
  "pinion-out",
  "gear-in",
  "gear-out",
  "print-other-flank",
  "look-at-tooth",
  "tilt",
  "swing",
  "wheel-axially",
  "shafts-to-meet",
  "shaft-angle",
] as const;

/** What to do next. "apart" and "together" speak of the teeth, "in" is towards the apex. */
export type PrintMove = {
  what: (typeof printMoves)[number];
  /** A first step that does not overshoot: then print again. */
  amountMm?: number;
  /** The end at which the axes have to part. */
  partAt?: 0 | 1;
  towards?: 0 | 1;
  /** Least tilt, mm a mm. */
  mmPerMm?: number;
  acrossFaceMm?: number;
  /** At one pair of bolts. */
  shimMm?: number;
};

export type PrintRead = { ok: boolean; findings: PrintFinding[]; moves: PrintMove[] };

/** Where the middle of a right print lies, and the share of the error in depth that a first step takes (handbook of prints). */
const rules: Record<PrintKind, { aim: number; step: number }> = {
  spur: { aim: 0.55, step: 0.2 },
  "ring-pinion": { aim: 2 / 3, step: 1 },
  bevel: { aim: 0.5, step: 0 },
  worm: { aim: 0.5, step: 0.2 },
};
/** Film of marking compound where nobody says, mm (common practice: 5 to 10 µm). */
export const usualFilmMm = 0.01;
const offInDepth = 0.15;
const longEnough = 0.7;

export const aimedDepth = (kind: PrintKind): number => rules[kind].aim;

/**
 * Reads a contact print (common practice; the rules of the calc contract). Depth tells the distance: at a distance that is too great the
 * partner's tip does not reach down and the print lies high. Length tells whether the axes are parallel: inclined ones touch at the
 * same end on both flanks, crossed ones at opposite ends, so that one flank alone cannot tell them apart. The far end of a short print
 * is where the gap is the film, which gives the least tilt. No move lifts the limits of the backlash.
 *
 * @param question one or two prints, of different flanks
 * @returns findings and moves in the order depth, length, diagonal, short; or `flank-twice` at prints.1.flank, `window-upside-down` at
 *   prints.i.depth.from or length.from, `not-of-this-kind` at spiral
 * @example 0.02 to 0.30 of the depth on module 1 (whole depth 2.25): deep, apart by 0.1755
 */
export function readPrint(question: PrintQuestion): Result<PrintRead> {
  const { kind, prints } = question;
  if (question.spiral !== undefined && kind !== "bevel") return refuse("not-of-this-kind", ["spiral"]);
  for (const [i, print] of prints.entries()) {
    for (const way of ["depth", "length"] as const)
      if (print[way].from >= print[way].to) return refuse("window-upside-down", ["prints", i, way, "from"]);
    if (prints.findIndex(({ flank }) => flank === print.flank) < i)
      return refuse("flank-twice", ["prints", i, "flank"]);
  }
  const depth = readDepth(question);
  const length = readLength(question);
  const findings = [...depth.findings, ...length.findings];
  const moves = together(depth.moves, length.moves);
  if (prints.some(({ diagonal }) => diagonal)) {
    if (kind !== "worm") findings.push("diagonal");
    else if (!findings.includes("shaft-angle")) {
      findings.push("shaft-angle");
      moves.push({ what: "shaft-angle" });
    }
  }
  if (prints.some((print) => isShort(print) && endOf(kind, print) === null)) findings.push("short");
  return accept({ ok: findings.every((finding) => finding === "short"), findings, moves });
}

type Part = { findings: PrintFinding[]; moves: PrintMove[] };
const found = (finding: PrintFinding, ...moves: PrintMove[]): Part => ({ findings: [finding], moves });
const nothing: Part = { findings: [], moves: [] };

const middle = ({ from, to }: PrintSpan): number => (from + to) / 2;
const mean = (values: readonly number[]): number => values.reduce((sum, value) => sum + value, 0) / values.length;

function readDepth({ kind, prints, wholeDepthMm }: PrintQuestion): Part {
  const { aim, step } = rules[kind];
  const middles = prints.map(({ depth }) => middle(depth));
  const deep = middles.some((at) => below(at, aim - offInDepth));
  const high = middles.some((at) => above(at, aim + offInDepth));
  if (deep && high) return found("flanks-apart-in-depth");
  if (!deep && !high) return nothing;
  const finding = deep ? "deep" : "high";
  if (kind === "bevel") return found(finding, { what: deep ? "pinion-out" : "pinion-in" });
  const amountMm = step * Math.abs(aim - mean(middles)) * wholeDepthMm;
  return found(finding, { what: deep ? "apart" : "together", amountMm });
}

const share = ({ length }: ContactPrint): number => length.to - length.from;
const isShort = (print: ContactPrint): boolean => below(share(print), longEnough);

/** The end at which a print lies; null where it lies at neither. */
function endOf(kind: PrintKind, print: ContactPrint): 0 | 1 | null {
  if (!isShort(print)) return null;
  const at = middle(print.length);
  if (below(at, kind === "bevel" ? 0.3 : 0.4)) return 0;
  return above(at, 0.6) ? 1 : null;
}

function readLength(question: PrintQuestion): Part {
  const { kind, prints, spiral } = question;
  const ends = prints.map((print) => endOf(kind, print));
  const [first = null, second = null] = ends;
  if (first === null && second === null) return nothing;
  if (prints.length === 1) return found("one-end", { what: "print-other-flank" });
  if (first === null || second === null) return found("one-end", { what: "look-at-tooth" });
  if (first === second) {
    if (kind === "bevel") return first === 0 ? found("toe", { what: "gear-out" }) : found("heel", { what: "gear-in" });
    if (kind === "worm") return found("one-side", { what: "wheel-axially", towards: first });
    return found("inclined", { what: "tilt", partAt: first, ...tiltOf(question, Math.sin) });
  }
  if (kind === "worm") return found("shaft-angle", { what: "shaft-angle" });
  if (kind !== "bevel") return found("crossed", { what: "swing", ...tiltOf(question, Math.cos) });
  if (!spiral) return found("offset", { what: "shafts-to-meet" });
  const driveAtHeel = ends[prints.findIndex(({ flank }) => flank === "drive")] === 1;
  return found("flanks-apart", { what: driveAtHeel ? "pinion-in" : "pinion-out" });
}

/** i = film/(printed length·sin α): where the print ends, the flanks have parted by the film. */
function tiltOf(
  { prints, faceWidthMm, boltSpanMm, filmMm, pressureAngleDeg }: PrintQuestion,
  per: (angle: number) => number,
): Pick<PrintMove, "mmPerMm" | "acrossFaceMm" | "shimMm"> {
  if (faceWidthMm === undefined) return {};
  const mmPerMm = filmMm / (mean(prints.map(share)) * faceWidthMm * per(radians(pressureAngleDeg)));
  return {
    mmPerMm,
    acrossFaceMm: mmPerMm * faceWidthMm,
    ...(boltSpanMm === undefined ? {} : { shimMm: mmPerMm * boltSpanMm }),
  };
}

/** The pinion in by one and out by the other contradict each other: neither is named; the same asked for twice is named once. */
function together(depth: readonly PrintMove[], length: readonly PrintMove[]): PrintMove[] {
  const opposite = (what: PrintMove["what"]) =>
    what === "pinion-in" ? "pinion-out" : what === "pinion-out" ? "pinion-in" : null;
  const against = (move: PrintMove, others: readonly PrintMove[]) =>
    others.some(({ what }) => what === opposite(move.what));
  return [
    ...depth.filter((move) => !against(move, length)),
    ...length.filter((move) => !against(move, depth) && !depth.some(({ what }) => what === move.what)),
  ];
}
