import type { ReactNode } from "react";
import { elementWords } from "~/app/features/kinds";
import { formatNumber } from "~/app/features/words/figure";
import { beltDrive } from "~/core/belts";
import { bevelPair } from "~/core/bevels";
import { chainDrive } from "~/core/chains";
import { type GearPair, gearPair, type PairGeometry, usableContactRatio } from "~/core/gears";
import { planetarySet } from "~/core/planetary";
import { checkElement, gearsOf, isBelt, ratiosOf, type StageElement, spanOf, stagePath } from "~/core/stages";
import { wormEfficiency, wormPair } from "~/core/worms";
import { StageDrawing } from "../drawing/stage-drawing";
import { ThrustPane } from "../stage/thrust-pane";
import { refusalWords } from "../words/refusal";
import { unwiseWords } from "../words/unwise";
import type { Read } from "./reader";

type Figure = [name: string, value: string];
const f = (value: number, decimals = 3) => formatNumber(value, decimals);

/** The stage to scale and what follows from it: so that a slip in a figure is seen. `saves`: in a form that
 * keeps it. */
export function ElementFigures({ read, saves = false }: { read: Read<StageElement>; saves?: boolean }) {
  const element = read.value;
  if (!element)
    return (
      <p className="text-lg text-mid self-start border-l-4 border-rule pl-4">
        What is typed draws the stage here, to scale, and says what follows from it.
      </p>
    );
  const checked = checkElement(element);
  if (!checked.ok)
    return (
      <p role="status" className="text-lg font-semibold text-outside self-start border-l-4 border-outside pl-4">
        {refusalWords(checked.refusal)}
      </p>
    );
  return (
    <section aria-label="The stage" className="self-start grid gap-3">
      <div className="bg-panel p-3 grid place-items-center">
        <StageDrawing element={element} label={`The ${elementWords(element)}, to scale`} />
      </div>
      <ul aria-label="Unwise" className="grid gap-1">
        {checked.value.map((warning) => (
          <li key={JSON.stringify(warning)} className="border-l-4 border-near pl-3">
            {unwiseWords(warning)}
            {saves && " It is saved all the same, and recorded."}
          </li>
        ))}
      </ul>
      <dl className="grid grid-cols-[auto_1fr] gap-x-5 gap-y-1">
        {figuresOf(element).map(([name, value]) => (
          <Row key={name} name={name}>
            {value}
          </Row>
        ))}
      </dl>
      <ThrustPane element={element} />
    </section>
  );
}

function Row({ name, children }: { name: string; children: ReactNode }) {
  return (
    <>
      <dt className="text-mid">{name}</dt>
      <dd className="figure">{children}</dd>
    </>
  );
}

/** The figures that follow from an element, each with its formula or source where it is not plain. */
function figuresOf(element: StageElement): Figure[] {
  if (isBelt(element)) return beltFigures(element);
  switch (element.kind) {
    case "gear-pair":
      return gearFigures(element);
    case "worm": {
      const pair = wormPair(element.worm);
      return [
        ["Ratio", f(pair.ratio)],
        ["Lead angle", `${f(pair.leadAngleDeg, 2)}°, tan γ = z1·m_x/d1`],
        ["Nominal centres", `${f(pair.nominalCentreDistanceMm)} mm, (d1 + z2·m_x)/2`],
        [
          "A tenth of centres",
          `${f(pair.backlashPerCentreMm / 10)} mm at the wheel (2·tan ${f(pair.axialPressureAngleDeg, 2)}°)`,
        ],
        [
          "Efficiency, worm driving",
          `${f(100 * wormEfficiency(element.worm, 0.05), 0)} % at a friction of 0.05 (common practice)`,
        ],
      ];
    }
    case "bevel": {
      const pair = bevelPair(element.bevel);
      return [
        ["Ratio", f(element.bevel.teeth[1] / element.bevel.teeth[0])],
        ["Pitch angles", `${f(pair.pitchAngleDeg[0], 2)}° and ${f(pair.pitchAngleDeg[1], 2)}° (ISO 23509)`],
        ["Cone distance", `${f(pair.coneDistanceMm, 2)} mm, outer`],
        [
          "A tenth of shim",
          `pinion ${f(pair.backlashPerAxialMm[0] / 10)} mm, gear ${f(pair.backlashPerAxialMm[1] / 10)} mm of backlash (2·tan α·sin δ/cos β)`,
        ],
      ];
    }
    case "planetary": {
      const set = planetarySet(element.set);
      if (!set.ok) return [];
      const { ratio, neighbourGapMm, clockingSteps } = set.value;
      return [
        ["Ratio", ratio === null ? "none" : `${f(ratio)}${ratio < 0 ? ", reversed" : ""} (Willis)`],
        ...(neighbourGapMm === undefined ? [] : [["Between planets", `${f(neighbourGapMm, 2)} mm`] as Figure]),
        ...(clockingSteps
          ? [["Clocking", `each planet ${f(clockingSteps, 3)} teeth on from the one before`] as Figure]
          : []),
      ];
    }
    case "chain": {
      const drive = chainDrive({ pitchMm: element.pitchMm, teeth: element.teeth }, { links: element.links });
      const path = stagePath(element);
      if (!drive.ok || !path.ok) return [];
      const need = path.value.laid.lengthMm / element.pitchMm;
      return [
        ["Ratio", f(drive.value.ratio)],
        ["Links on this path", `${f(need, 2)}; ${element.links} are fitted, ${f(element.links - need, 2)} over`],
        ...(element.idlers.length === 0 && drive.value.centreDistanceMm
          ? [["Straight at", `${f(drive.value.centreDistanceMm, 2)} mm of centres`] as Figure]
          : []),
        ["Slack span", `${f(spanOf(element) ?? 0, 1)} mm`],
        ["Unevenness", `${f(drive.value.chordalSpeedVariationPercent[0], 2)} % of speed (1 − cos 180°/z)`],
      ];
    }
    case "gap":
      return [["A millimetre of shim", "a millimetre of gap, unless the adjuster says otherwise"]];
    default:
      return [];
  }
}

function gearFigures(element: Extract<StageElement, { kind: "gear-pair" }>): Figure[] {
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

function beltFigures(element: Extract<StageElement, { massKgPerM: number }>): Figure[] {
  const path = stagePath(element);
  if (!path.ok) return [];
  const { laid, driven } = path.value;
  const length = element.kind === "toothed-belt" ? element.beltTeeth * element.pitchMm : element.lengthMm;
  const wraps = [laid.wraps[0]?.deg ?? 0, laid.wraps[driven]?.deg ?? 0] as const;
  const figures: Figure[] = [
    ["Ratio", f(Math.abs(ratiosOf(element)[0]?.ratio ?? 1))],
    [
      "Path",
      `${f(laid.lengthMm, 2)} mm; the belt has ${f(length, 2)} mm, ${f(Math.abs(length - laid.lengthMm), 2)} ${length < laid.lengthMm ? "to stretch" : "to take up"}`,
    ],
    ["Wrap", `${f(wraps[0], 1)}° and ${f(wraps[1], 1)}°`],
    ["Span that is read", `${f(spanOf(element) ?? 0, 1)} mm, the longest`],
  ];
  if (element.kind === "toothed-belt")
    figures.push([
      "Teeth in mesh",
      `${f((element.teeth[0] * wraps[0]) / 360, 1)} and ${f((element.teeth[1] * wraps[1]) / 360, 1)}`,
    ]);
  if (element.kind === "toothed-belt" && element.idlers.length === 0) {
    const belts = beltDrive(
      { by: "teeth", pitchMm: element.pitchMm, teeth: element.teeth },
      { centreDistanceMm: element.centreDistanceMm },
    );
    const around = belts.ok ? (belts.value.nearestBelts ?? []) : [];
    figures.push([
      "Belts that fit",
      around.map((belt) => `${belt.beltTeeth} teeth at ${f(belt.centreDistanceMm, 2)} mm`).join(", "),
    ]);
  }
  return figures;
}
