import { formatNumber } from "~/app/features/words/figure";
import { bevelPair } from "~/core/bevels";
import type { StrandShape } from "~/core/chains";
import { gearPair } from "~/core/gears";
import { degrees, turnDegrees } from "~/core/numerics";
import type { RoundFit, Wave } from "~/core/rounds";
import { frameOf, isBelt, judgedBy, judgedUnit, pathPull, type StageElement, spanOf, stagePath } from "~/core/stages";
import { wormPair } from "~/core/worms";
import { lengthUnit, lengthWords, spoken } from "../words/spoken";

const f = (value: number, digits = 3) => formatNumber(value, digits);
const mm = (value: number, digits: number) => lengthWords(value, digits);

/** What a millimetre of the adjuster's way does, with the formula and its source. */
export function sensitivityWords(element: StageElement, sensitivity: number, strand: StrandShape = "arc"): string {
  const length = lengthUnit();
  const path = isBelt(element) || element.kind === "chain" ? stagePath(element) : null;
  const pull = path?.ok && "moved" in element ? pathPull(path.value, element.moved) : 0;
  switch (element.kind) {
    case "gear-pair": {
      const mesh = gearPair(element.pair);
      const angle = mesh.ok ? mesh.value.workingPressureAngleDeg : 20;
      return `2·tan ${f(angle, 2)}° = ${f(sensitivity)} ${length} of backlash for each ${length} of centre distance (ISO 21771)`;
    }
    case "worm":
      return `2·tan ${f(wormPair(element.worm).axialPressureAngleDeg, 2)}° = ${f(sensitivity)} ${length} at the wheel for each ${length} of centre distance (ISO/TR 14521 symbols)`;
    case "bevel": {
      const { bevel, shimmed } = element;
      const delta = bevelPair(bevel).pitchAngleDeg[shimmed === "pinion" ? 0 : 1];
      return `2·tan ${f(bevel.pressureAngleDeg, 1)}°·sin ${f(delta, 2)}°/cos ${f(bevel.spiralAngleDeg, 1)}° = ${f(sensitivity)} ${length} of backlash for each ${length} that the ${shimmed} is moved along its axis (ISO 23509)`;
    }
    case "toothed-belt":
    case "v-belt":
      return `EA·${f(pull, 2)}/${mm(path?.ok ? path.value.laid.lengthMm : 0, 0)} = ${f((sensitivity * spoken("mm", 0).per) / spoken("N", 1).per, 1)} ${spoken("N", 1).unit} for each ${length}${element.stiffnessN === null ? "; EA is not known and taken as if the aim stretched the belt by 0.2 % (common practice)" : ""}`;
    case "chain":
      return `${strand === "arc" ? `−3·L·${f(pull, 2)}/(16·s)` : `−L·${f(pull, 2)}/(4·y)`}, L ${mm(spanOf(element) ?? 0, 0)}: ${f(sensitivity, 2)} ${length} of ${strand === "arc" ? "sag" : "half the movement"} for each ${length}, now; the slack goes as its square (Machinery's Handbook${strand === "arc" ? "" : "; by hand a triangle, 2y²/L"})`;
    default:
      return `${f(sensitivity)} ${spoken(judgedUnit[judgedBy(element)].unit, 3).unit} for each ${length}`;
  }
}

const at = (wave: Wave): string => `${f(turnDegrees(degrees(wave.tightRad)), 0)}°`;

/** What comes round with the turn: runout of gears, the wave of a tension. */
export function wavesWords(element: StageElement, { harmonics, residual }: RoundFit): string {
  const { unit, figure } = spoken(judgedUnit[judgedBy(element)].unit, 3);
  if (element.kind === "gear-pair") {
    const mesh = gearPair(element.pair);
    const slope = mesh.ok ? Math.abs(mesh.value.backlashPerCentreMm) : 1;
    const pinion = harmonics.pinion
      ? `, pinion ${mm(harmonics.pinion.amplitude / slope, 3)}`
      : "; pinion not to be told apart";
    return `gear ${mm(harmonics.gear.amplitude / slope, 3)} off centre${pinion}; rest ${mm(residual, 3)}`;
  }
  const part = frameOf(element).teeth ? "gear" : "part";
  return `${part} ±${figure(harmonics.gear.amplitude)} ${unit} once a turn, least at ${at(harmonics.gear)}; rest ${figure(residual)} ${unit}`;
}
