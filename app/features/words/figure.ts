import { type DecimalSign, formatNumber as format } from "~/core/quantity";

let readDecimal = (): DecimalSign => ".";

/** From where the decimal sign of whoever reads is taken: on the server one for each request, in a browser its only reader's. */
export const takeDecimalFrom = (source: () => DecimalSign): void => {
  readDecimal = source;
};

/** A figure as its reader writes it: fixed decimals, a true minus sign, and their decimal sign. */
export const formatNumber = (value: number, decimals: number): string => format(value, decimals, readDecimal());
