import { formatNumber } from "~/app/features/words/figure";
import type { Reader } from "~/app/features/words/reader";

/** A figure without zeros at its end: "2.5", "20". */
export const shortFigure = (reader: Reader, value: number, digits = 3): string =>
  formatNumber(reader, value, digits)
    .replace(/(\.\d*?)0+$/, "$1")
    .replace(/\.$/, "");
