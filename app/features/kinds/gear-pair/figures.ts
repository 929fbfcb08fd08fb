import { formatNumber } from "~/app/features/words/figure";
import { type GearPair, gearPair, type PairGeometry, usableContactRatio } from "~/core/gears";
import { type GearElement, gearsOf, ratiosOf } from "~/core/stages";
import type { Figure } from "../kind-form";

const f = (value: number, decimals = 3) => formatNumber(value, decimals);

export function gearFigures(element: GearElement): Figure[] {
  const mesh = gearPair(element.pair);
  if (!mesh.ok) return [];
  const { value } = mesh;
  const { backlash } = value;
  const gears = gearsOf(element);
  return [
    ...(element.gears
      ? ratiosOf(element).map(
          ({ name, ratio }, i): Figure => [`Ratio, ${name}`, `${f(Math.abs(ratio))} (${gears[i]?.teeth.join(" : ")})`],
        )
      : [["Ratio", f(value.ratio)] as Figure]),
    [
      "Pitch circles",
      `${f(value.workingPitchDiameterMm[0], 2)} and ${f(value.workingPitchDiameterMm[1], 2)} mm, working`,
    ],
    ["Tips", `${f(value.tipDiameterMm[0], 2)} and ${f(value.tipDiameterMm[1], 2)} mm`],
    [
      "Backlash there",
      `${f(backlash.circumferentialMm)} mm at the pitch circle; none at centres ${f(value.zeroBacklashCentreDistanceMm)} mm`,
    ],
    [
      "A tenth of centres",
      `${f(Math.abs(value.backlashPerCentreMm) / 10)} mm of backlash (2·tan ${f(value.workingPressureAngleDeg, 2)}°, ISO 21771)`,
    ],
    ["Contact ratio", contactWords(element.pair, value)],
  ];
}

/** Transverse, and where the face is slanted overlap and both; where part of a flank is cut away, what is left to use. */
function contactWords(pair: PairGeometry, mesh: GearPair): string {
  const { transverseContactRatio: transverse, overlapRatio: overlap } = mesh;
  const usable = usableContactRatio(pair, mesh);
  const all =
    overlap > 0
      ? `transverse ${f(transverse, 2)}, overlap ${f(overlap, 2)}, total ${f(transverse + overlap, 2)}`
      : `${f(transverse, 2)}, transverse`;
  return transverse - usable > 0.005
    ? `${all}; usable ${f(usable + overlap, 2)}, the rest runs on cut-away flanks`
    : all;
}
