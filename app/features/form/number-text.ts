import { formatNumber } from "~/app/features/words/figure";
import type { Reader } from "~/app/features/words/reader";

/** A figure as a person would type it: no trailing zeros, a plain minus; empty for none. */
export const numberText = (reader: Reader, value: number | null | undefined, decimals = 6): string =>
  value === null || value === undefined
    ? ""
    : formatNumber(reader, value, decimals)
        .replace("−", "-")
        .replace(/(\.\d*?)0+$/, "$1")
        .replace(/\.$/, "");
