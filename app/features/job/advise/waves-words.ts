import { formatNumber } from "~/app/features/words/figure";
import type { Reader } from "~/app/features/words/reader";
import { degrees, turnDegrees } from "~/core/numerics";
import type { RoundFit, Wave } from "~/core/rounds";
import { frameOf, judgedBy, judgedUnit, type StageElement } from "~/core/stages";
import { wavesOfKind } from "../../kinds";
import { spoken } from "../../words/spoken";

const at = (reader: Reader, wave: Wave): string => `${formatNumber(reader, turnDegrees(degrees(wave.tightRad)), 0)}°`;

/** What comes round with the turn: runout of gears, the wave of a tension. */
export function wavesWords(reader: Reader, element: StageElement, fit: RoundFit): string {
  const own = wavesOfKind(reader, element, fit);
  if (own !== null) return own;
  const { harmonics, residual } = fit;
  const { unit, figure } = spoken(reader, judgedUnit[judgedBy(element)].unit, 3);
  const part = frameOf(element).teeth ? "gear" : "part";
  return `${part} ±${figure(harmonics.gear.amplitude)} ${unit} once a turn, least at ${at(reader, harmonics.gear)}; rest ${figure(residual)} ${unit}`;
}
