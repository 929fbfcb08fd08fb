import { formatNumber } from "~/app/features/words/figure";
import type { Reader } from "~/app/features/words/reader";
import { type GearPair, gearPair, type PairGeometry, usableContactRatio } from "~/core/gears";
import { type GearElement, gearsOf } from "~/core/stages";
import { gearPair as kind } from "~/core/stages/kinds/gear-pair";
import type { Figure } from "../kind-form";

const f = (reader: Reader, value: number, decimals = 3) => formatNumber(reader, value, decimals);

export function gearFigures(reader: Reader, element: GearElement): Figure[] {
  const mesh = gearPair(element.pair);
  if (!mesh.ok) return [];
  const { value } = mesh;
  const { backlash } = value;
  const gears = gearsOf(element);
  return [
    ...(element.gears
      ? kind
          .ratios(element)
          .map(
            ({ name, ratio }, i): Figure => [
              `Ratio, ${name}`,
              `${f(reader, Math.abs(ratio))} (${gears[i]?.teeth.join(" : ")})`,
            ],
          )
      : [["Ratio", f(reader, value.ratio)] as Figure]),
    [
      "Pitch circles",
      `${f(reader, value.workingPitchDiameterMm[0], 2)} and ${f(reader, value.workingPitchDiameterMm[1], 2)} mm, working`,
    ],
    ["Tips", `${f(reader, value.tipDiameterMm[0], 2)} and ${f(reader, value.tipDiameterMm[1], 2)} mm`],
    [
      "Backlash there",
      `${f(reader, backlash.circumferentialMm)} mm at the pitch circle; none at centres ${f(reader, value.zeroBacklashCentreDistanceMm)} mm`,
    ],
    [
      "A tenth of centres",
      `${f(reader, Math.abs(value.backlashPerCentreMm) / 10)} mm of backlash (2·tan ${f(reader, value.workingPressureAngleDeg, 2)}°, ISO 21771)`,
    ],
    ["Contact ratio", contactWords(reader, element.pair, value)],
  ];
}

/** Transverse, and where the face is slanted overlap and both; where part of a flank is cut away, what is left to use. */
function contactWords(reader: Reader, pair: PairGeometry, mesh: GearPair): string {
  const { transverseContactRatio: transverse, overlapRatio: overlap } = mesh;
  const usable = usableContactRatio(pair, mesh);
  const all =
    overlap > 0
      ? `transverse ${f(reader, transverse, 2)}, overlap ${f(reader, overlap, 2)}, total ${f(reader, transverse + overlap, 2)}`
      : `${f(reader, transverse, 2)}, transverse`;
  return transverse - usable > 0.005
    ? `${all}; usable ${f(reader, usable + overlap, 2)}, the rest runs on cut-away flanks`
    : all;
}
