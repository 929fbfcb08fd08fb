import { formatNumber } from "~/app/features/words/figure";
import type { Reader } from "~/app/features/words/reader";
import { lengthUnit, spoken } from "~/app/features/words/spoken";
import { judgedBy, judgedUnit, type StageElement } from "~/core/stages";

/** "0.5 mm for each mm", where there is no more to say of it. */
export const perUnitWords = (reader: Reader, element: StageElement, sensitivity: number): string =>
  `${formatNumber(reader, sensitivity, 3)} ${spoken(reader, judgedUnit[judgedBy(element)].unit, 3).unit} for each ${lengthUnit(reader)}`;
