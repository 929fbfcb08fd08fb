import { formatNumber } from "~/app/features/words/figure";
import { bevelPair } from "~/core/bevels";
import { gearPair } from "~/core/gears";
import { degrees, turnDegrees } from "~/core/numerics";
import type { RoundFit, Wave } from "~/core/rounds";
import { frameOf, isBelt, judgedBy, judgedUnit, pathPull, type StageElement, spanOf, stagePath } from "~/core/stages";
import { wormPair } from "~/core/worms";

const f = (value: number, digits = 3) => formatNumber(value, digits);

/** What a millimetre of the adjuster's way does, with the formula and its source. */
export function sensitivityWords(element: StageElement, sensitivity: number): string {
  const path = isBelt(element) || element.kind === "chain" ? stagePath(element) : null;
  const pull = path?.ok && "moved" in element ? pathPull(path.value, element.moved) : 0;
  switch (element.kind) {
    case "gear-pair": {
      const mesh = gearPair(element.pair);
      const angle = mesh.ok ? mesh.value.workingPressureAngleDeg : 20;
      return `2·tan ${f(angle, 2)}° = ${f(sensitivity)} mm of backlash for each mm of centre distance (ISO 21771)`;
    }
    case "worm":
      return `2·tan ${f(wormPair(element.worm).axialPressureAngleDeg, 2)}° = ${f(sensitivity)} mm at the wheel for each mm of centre distance (ISO/TR 14521 symbols)`;
    case "bevel": {
      const { bevel, shimmed } = element;
      const delta = bevelPair(bevel).pitchAngleDeg[shimmed === "pinion" ? 0 : 1];
      return `2·tan ${f(bevel.pressureAngleDeg, 1)}°·sin ${f(delta, 2)}°/cos ${f(bevel.spiralAngleDeg, 1)}° = ${f(sensitivity)} mm of backlash for each mm that the ${shimmed} is moved along its axis (ISO 23509)`;
    }
    case "toothed-belt":
    case "v-belt":
      return `EA·${f(pull, 2)}/${f(path?.ok ? path.value.laid.lengthMm : 0, 0)} mm = ${f(sensitivity, 1)} N for each mm${element.stiffnessN === null ? "; EA is not known and taken as if the aim stretched the belt by 0.2 % (common practice)" : ""}`;
    case "chain":
      return `−3·L·${f(pull, 2)}/(16·s), L ${f(spanOf(element) ?? 0, 0)} mm: ${f(sensitivity, 2)} mm of sag for each mm, now; the slack goes as the square of the sag (Machinery's Handbook)`;
    default:
      return `${f(sensitivity)} ${judgedUnit[judgedBy(element)].unit} for each mm`;
  }
}

const at = (wave: Wave): string => `${f(turnDegrees(degrees(wave.tightRad)), 0)}°`;

/** What comes round with the turn: runout of gears, the wave of a tension. */
export function wavesWords(element: StageElement, { harmonics, residual }: RoundFit): string {
  const { unit } = judgedUnit[judgedBy(element)];
  if (element.kind === "gear-pair") {
    const mesh = gearPair(element.pair);
    const slope = mesh.ok ? Math.abs(mesh.value.backlashPerCentreMm) : 1;
    const pinion = harmonics.pinion
      ? `, pinion ${f(harmonics.pinion.amplitude / slope)} mm`
      : "; pinion not to be told apart";
    return `gear ${f(harmonics.gear.amplitude / slope)} mm off centre${pinion}; rest ${f(residual)} mm`;
  }
  const part = frameOf(element).teeth ? "gear" : "part";
  return `${part} ±${f(harmonics.gear.amplitude)} ${unit} once a turn, least at ${at(harmonics.gear)}; rest ${f(residual)} ${unit}`;
}
