import { judge, type Verdict, worstVerdict } from "../limits";
import { alike, atMost, straightLine } from "../numerics";
import { accept, type Result, refuse } from "../quantity";

type Stand = { offsetMm: number; angleDeg: number };
/** How something stands under a tension; slack is 0. */
export type PullReading = Stand & { tensionN: number };

export type FramePullQuestion = {
  readings: readonly PullReading[];
  targetN: number;
  /** Within which the tension stays, the target in it. */
  bandN: { lo: number; hi: number };
  /** Either side of 0. */
  limits: Stand;
  expandedUncertainty: Stand;
};

export type FramePull = {
  /** Whether a pre-set can hold the whole band. */
  feasible: boolean;
  perN: Stand;
  slack: Stand;
  atTarget: Stand;
  /** What the readings differ from the lines by, rms. */
  residual: Stand;
  action: "none" | "pre-set" | "brace";
  /** Set up slack to this, so that tension pulls it true. */
  preset?: Stand;
  /** By how much stiffer the frame has to be. */
  stiffenBy?: number;
  /** As it stands, at both ends of the band and at the target. */
  verdict: Verdict;
};

const ways = ["offsetMm", "angleDeg"] as const;

/**
 * What tension pulls a frame or an arm out of true by, and whether standing it off beforehand holds it or only a brace does. A pre-set is
 * right for one tension; over a band half of what the band pulls is left, whatever the pre-set.
 *
 * @returns the answer, or `too-few` at readings (one tension only), `aim-outside` at targetN
 * @example 0.05 slack, 0.17 at 120 N, 60 to 760 N within ± 0.5 // 0.001 mm/N, pre-set −0.41
 * @source straight lines by least squares (Hooke)
 */
export function framePull(question: FramePullQuestion): Result<FramePull> {
  const { readings, targetN, bandN, limits, expandedUncertainty } = question;
  const tensions = readings.map(({ tensionN }) => tensionN);
  if (new Set(tensions).size < 2) return refuse("too-few", ["readings"]);
  if (targetN < bandN.lo || targetN > bandN.hi) return refuse("aim-outside", ["targetN"]);
  const lines = {
    offsetMm: lineOf(readings, "offsetMm"),
    angleDeg: lineOf(readings, "angleDeg"),
  };
  const each = (what: (way: (typeof ways)[number]) => number): Stand => ({
    offsetMm: what("offsetMm"),
    angleDeg: what("angleDeg"),
  });
  const places = [bandN.lo, targetN, bandN.hi];
  const stands = places.flatMap((tensionN) =>
    ways.map((way) => ({ way, value: lines[way].slack + lines[way].perN * tensionN })),
  );
  const share = Math.max(...ways.map((way) => (((bandN.hi - bandN.lo) / 2) * Math.abs(lines[way].perN)) / limits[way]));
  const holds = atMost(share, 1);
  const none = stands.every(({ way, value }) => atMost(Math.abs(value), limits[way]));
  const action = none ? "none" : holds ? "pre-set" : "brace";
  return accept({
    feasible: holds,
    perN: each((way) => lines[way].perN),
    slack: each((way) => lines[way].slack),
    atTarget: each((way) => lines[way].slack + lines[way].perN * targetN),
    residual: each((way) => lines[way].residual),
    action,
    ...(action === "pre-set" && { preset: each((way) => (-lines[way].perN * (bandN.lo + bandN.hi)) / 2) }),
    ...(action === "brace" && { stiffenBy: share }),
    verdict: worstVerdict(
      stands.map(
        ({ way, value }) => judge(value, { lo: -limits[way], hi: limits[way] }, expandedUncertainty[way]).verdict,
      ),
    ),
  });
}

function lineOf(readings: readonly PullReading[], way: keyof Stand) {
  const tensions = readings.map(({ tensionN }) => tensionN);
  const stood = readings.map((reading) => reading[way]);
  const { slope: perN, at0: slack } = straightLine(tensions, stood);
  const squares = readings.reduce((sum, reading) => sum + (reading[way] - slack - perN * reading.tensionN) ** 2, 0);
  const residual = Math.sqrt(squares / readings.length);
  return { perN, slack, residual: alike(residual, 0) ? 0 : residual };
}
