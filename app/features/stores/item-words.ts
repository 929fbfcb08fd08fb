import type { Reader } from "~/app/features/words/reader";
import type { StoreItem } from "~/core/records";
import { kindsOfStock } from "~/core/stores";
import { lengthWords } from "../words/spoken";

/** Size and figures in a line: "0.100 mm, measured 0.102 mm, bore 20". */
export function itemWords(reader: Reader, { kind, nominalMm, measuredMm, figures }: StoreItem): string {
  const parts = [
    nominalMm === null ? "" : lengthWords(reader, nominalMm, 3),
    measuredMm === null ? "" : `measured ${lengthWords(reader, measuredMm, 3)}`,
    ...kindsOfStock[kind].figures.flatMap(({ key, label }) => {
      const value = figures[key];
      if (value === undefined || value === "") return [];
      const name = label.replace(/,.*/, "").toLowerCase();
      return [key === "teeth" || key === "links" ? `${value} ${name}` : `${name} ${value}`];
    }),
  ];
  return parts.filter(Boolean).join(", ");
}
