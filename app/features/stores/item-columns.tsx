import { Link } from "react-router";
import type { Reader } from "~/app/features/words/reader";
import type { StoreItem } from "~/core/records";
import { kindsOfStock, type StoreKind } from "~/core/stores";
import type { Column } from "~/ui/data-table";
import { lengthWords } from "../words/spoken";
import { TakeForm } from "./take-form";

/** What stands in a list of a kind: its name, its sizes, what else is known of any of these, where it lies and how many of it there are. */
export function columnsOf(
  reader: Reader,
  kind: StoreKind,
  items: readonly StoreItem[],
  mayTake: boolean,
): Column<StoreItem>[] {
  const { nominal, figures } = kindsOfStock[kind];
  const mm = (value: number | null) => (value === null ? "" : lengthWords(reader, value, 3));
  return [
    {
      key: "name",
      head: "Name",
      value: ({ name }) => name,
      cell: ({ id, name, gone }) => (
        <>
          <Link to={`items/${id}`} className="text-lg font-semibold text-ink">
            {name}
          </Link>
          {gone && <span className="block text-mid">no longer made</span>}
        </>
      ),
    },
    ...(nominal === null
      ? []
      : [
          {
            key: "nominal",
            head: nominal,
            figures: true,
            value: ({ nominalMm }: StoreItem) => nominalMm,
            cell: ({ nominalMm }: StoreItem) => mm(nominalMm),
          },
          {
            key: "measured",
            head: "Measured",
            figures: true,
            value: ({ measuredMm }: StoreItem) => measuredMm,
            cell: ({ measuredMm }: StoreItem) => mm(measuredMm),
          },
        ]),
    ...figures
      .filter(({ key }) => items.some((item) => (item.figures[key] ?? "") !== ""))
      .map(({ key, label }) => ({
        key,
        head: label,
        figures: true,
        value: (item: StoreItem) => item.figures[key] ?? null,
        cell: (item: StoreItem) => item.figures[key] ?? "",
      })),
    { key: "place", head: "Place", value: ({ place }) => place || null, cell: ({ place }) => place },
    {
      key: "count",
      head: "Left",
      figures: true,
      value: ({ count }) => count,
      cell: ({ count }) => (
        <span className={`text-2xl ${count === 0 ? "text-outside" : ""}`}>
          {count}
          {count === 0 && <span className="text-base font-semibold"> none left</span>}
        </span>
      ),
    },
    ...(mayTake
      ? [
          {
            key: "take",
            head: "Take or put back",
            keys: true,
            value: () => null,
            cell: (item: StoreItem) => <TakeForm key={item.count} item={item} />,
          },
        ]
      : []),
  ];
}
