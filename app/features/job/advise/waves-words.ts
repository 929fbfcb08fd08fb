import { formatNumber } from "~/app/features/words/figure";
import { degrees, turnDegrees } from "~/core/numerics";
import type { RoundFit, Wave } from "~/core/rounds";
import { frameOf, judgedBy, judgedUnit, type StageElement } from "~/core/stages";
import { wavesOfKind } from "../../kinds";
import { spoken } from "../../words/spoken";

const at = (wave: Wave): string => `${formatNumber(turnDegrees(degrees(wave.tightRad)), 0)}°`;

/** What comes round with the turn: runout of gears, the wave of a tension. */
export function wavesWords(element: StageElement, fit: RoundFit): string {
  const own = wavesOfKind(element, fit);
  if (own !== null) return own;
  const { harmonics, residual } = fit;
  const { unit, figure } = spoken(judgedUnit[judgedBy(element)].unit, 3);
  const part = frameOf(element).teeth ? "gear" : "part";
  return `${part} ±${figure(harmonics.gear.amplitude)} ${unit} once a turn, least at ${at(harmonics.gear)}; rest ${figure(residual)} ${unit}`;
}
