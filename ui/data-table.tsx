import {
  type ColumnDef,
  type ColumnVisibilityState,
  columnFilteringFeature,
  columnVisibilityFeature,
  createFilteredRowModel,
  createSortedRowModel,
  filterFn_includesString,
  globalFilteringFeature,
  rowSortingFeature,
  type SortingState,
  sortFn_alphanumeric,
  sortFn_basic,
  tableFeatures,
  useTable,
} from "@tanstack/react-table";
import { ArrowDown, ArrowUp } from "lucide-react";
import { type ReactNode, useEffect, useMemo, useState } from "react";
import { Field } from "./field";
import { Tick } from "./tick";

export type Column<Row> = {
  key: string;
  /** What stands over it. */
  head: string;
  /** Of keys, not of figures or words: it is neither sorted nor hidden, and its head is for those who cannot see it. */
  keys?: boolean;
  /** By which it is sorted and found; null stands last. */
  value: (row: Row) => string | number | null;
  cell: (row: Row) => ReactNode;
  figures?: boolean;
};

const features = tableFeatures({
  rowSortingFeature,
  columnVisibilityFeature,
  columnFilteringFeature,
  globalFilteringFeature,
  sortedRowModel: createSortedRowModel(),
  filteredRowModel: createFilteredRowModel(),
  sortFns: { alphanumeric: sortFn_alphanumeric, basic: sortFn_basic },
  filterFns: { includesString: filterFn_includesString },
});

const inItsOrder: SortingState = [];

/**
 * A table whose columns are sorted by a press on their head, from its first order at the third; which are hidden and how it is sorted is kept in
 * this browser under a name. On a phone every row is a card.
 */
export function DataTable<Row extends object>({
  label,
  name,
  columns,
  rows,
  rowKey,
  find,
  part = false,
  most = Number.POSITIVE_INFINITY,
}: {
  label: string;
  name: string;
  columns: readonly Column<Row>[];
  rows: readonly Row[];
  rowKey: (row: Row) => string;
  /** What its search field is called; left out: it has none. */
  find?: string;
  /** Only a part of a longer list is here: in the list's own order, for sorting would sort the part alone. */
  part?: boolean;
  /** Rows shown at most. */
  most?: number;
}) {
  const [kept, keep] = useKept(name);
  const [words, setWords] = useState("");
  const definitions = useMemo(
    () =>
      columns.map(
        ({ key, head, keys, value, figures }): ColumnDef<typeof features, Row> => ({
          id: key,
          header: head,
          accessorFn: (row) => value(row) ?? undefined,
          enableSorting: !keys && !part,
          enableHiding: !keys,
          sortFn: figures ? "basic" : "alphanumeric",
          sortUndefined: "last",
          sortDescFirst: false,
        }),
      ),
    [columns, part],
  );
  const data = useMemo(() => [...rows], [rows]);
  const table = useTable({
    features,
    columns: definitions,
    data,
    getRowId: rowKey,
    globalFilterFn: "includesString",
    state: { sorting: part ? inItsOrder : kept.sorting, columnVisibility: kept.hidden, globalFilter: words },
    onSortingChange: (next) => keep({ ...kept, sorting: typeof next === "function" ? next(kept.sorting) : next }),
    onColumnVisibilityChange: (next) =>
      keep({ ...kept, hidden: typeof next === "function" ? next(kept.hidden) : next }),
  });
  const shown = table.getRowModel().rows;
  const columnOf = new Map(columns.map((column) => [column.key, column]));
  return (
    <div className="grid gap-2">
      <div className="flex flex-wrap gap-x-6 gap-y-1 items-end">
        {find && (
          <Field
            className="w-72 max-w-full"
            label={find}
            type="search"
            value={words}
            onChange={(event) => setWords(event.target.value)}
          />
        )}
        <details className="relative">
          <summary className="min-h-12 content-center cursor-pointer underline">Columns</summary>
          <div className="absolute z-10 bg-panel border-2 border-ink px-4 py-1 w-max max-w-[80vw]">
            {table
              .getAllLeafColumns()
              .filter((column) => column.getCanHide())
              .map((column) => (
                <Tick
                  key={column.id}
                  label={columnOf.get(column.id)?.head ?? ""}
                  checked={column.getIsVisible()}
                  onChange={(checked) => column.toggleVisibility(checked)}
                />
              ))}
          </div>
        </details>
      </div>
      <div className="overflow-x-auto">
        <table className="w-full text-left max-sm:block" aria-label={label}>
          <thead className="max-sm:sr-only">
            {table.getHeaderGroups().map((group) => (
              <tr key={group.id} className="border-b-2 border-ink align-bottom">
                {group.headers.map(({ column }) => {
                  const sorted = column.getIsSorted();
                  return (
                    <th
                      key={column.id}
                      className="pr-4 font-bold"
                      aria-sort={sorted === "asc" ? "ascending" : sorted === "desc" ? "descending" : undefined}
                    >
                      {column.getCanSort() ? (
                        <button
                          type="button"
                          className="min-h-11 inline-flex gap-1 items-center text-left cursor-pointer"
                          onClick={() => column.toggleSorting()}
                        >
                          {columnOf.get(column.id)?.head}
                          {sorted === "asc" && <ArrowUp aria-hidden="true" size={18} />}
                          {sorted === "desc" && <ArrowDown aria-hidden="true" size={18} />}
                        </button>
                      ) : (
                        <span className={part && column.getCanHide() ? "" : "sr-only"}>
                          {columnOf.get(column.id)?.head}
                        </span>
                      )}
                    </th>
                  );
                })}
              </tr>
            ))}
          </thead>
          <tbody className="max-sm:block">
            {shown.slice(0, most).map((row) => (
              <tr key={row.id} className="border-b border-rule align-top max-sm:block max-sm:py-2">
                {row.getVisibleCells().map(({ column }, at) => {
                  const own = columnOf.get(column.id);
                  return (
                    <td key={column.id} className={`py-2 pr-4 ${narrow} ${own?.figures ? "figure" : ""}`}>
                      {!own?.keys && at > 0 && (
                        <span aria-hidden="true" className="sm:hidden text-mid w-28 shrink-0">
                          {own?.head}
                        </span>
                      )}
                      <div>{own?.cell(row.original)}</div>
                    </td>
                  );
                })}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      {shown.length === 0 && words !== "" && <p className="text-lg text-mid">None of them fits “{words}”.</p>}
    </div>
  );
}

/** On a phone a row is a card, each cell a line of it behind its column's name. */
const narrow = "max-sm:flex max-sm:gap-3 max-sm:py-0.5";

type Kept = { sorting: SortingState; hidden: ColumnVisibilityState };
const asItCame: Kept = { sorting: [], hidden: {} };

/** How a table was left in this browser. */
function useKept(name: string): [Kept, (kept: Kept) => void] {
  const key = `harmostat table ${name}`;
  const [kept, setKept] = useState(asItCame);
  useEffect(() => {
    try {
      const read = JSON.parse(localStorage.getItem(key) ?? "null") as Partial<Kept> | null;
      if (Array.isArray(read?.sorting) && read.hidden && typeof read.hidden === "object")
        setKept({ sorting: read.sorting, hidden: read.hidden });
    } catch {
      // Forbidden or damaged: as it came.
    }
  }, [key]);
  return [
    kept,
    (next) => {
      setKept(next);
      try {
        localStorage.setItem(key, JSON.stringify(next));
      } catch {
        // It holds for this page.
      }
    },
  ];
}
