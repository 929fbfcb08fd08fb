import { formatNumber as format } from "~/core/quantity";
import type { Reader } from "./reader";

/** A figure as its reader writes it: fixed decimals, a true minus sign, and their decimal sign. */
export const formatNumber = (reader: Reader, value: number, decimals: number): string =>
  format(value, decimals, reader.decimal);
