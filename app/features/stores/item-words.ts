import { formatNumber } from "~/app/features/words/figure";
import { kindsOfStock } from "~/core/stores";
import type { StoreItem } from "~/data/queries/store";

/** Size and figures in a line: "0.100 mm, measured 0.102, bore 20". */
export function itemWords({ kind, nominalMm, measuredMm, figures }: StoreItem): string {
  const parts = [
    nominalMm === null ? "" : `${formatNumber(nominalMm, 3)} mm`,
    measuredMm === null ? "" : `measured ${formatNumber(measuredMm, 3)}`,
    ...kindsOfStock[kind].figures.flatMap(({ key, label }) => {
      const value = figures[key];
      if (value === undefined || value === "") return [];
      const name = label.replace(/,.*/, "").toLowerCase();
      return [key === "teeth" || key === "links" ? `${value} ${name}` : `${name} ${value}`];
    }),
  ];
  return parts.filter(Boolean).join(", ");
}
