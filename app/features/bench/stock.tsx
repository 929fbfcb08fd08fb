import { over0 } from "../form/field-readers";
import { RowsField } from "../form/rows-field";
import type { TextReader } from "../form/text-reader";

const most = 500;

/** A drawer: each size with how many of it there are. */
export const StockField = ({ name, legend }: { name: string; legend: string }) => (
  <RowsField
    name={name}
    legend={legend}
    hint="mm, or 2 thou; a size alone is one of it."
    one="Size"
    most={most}
    columns={[
      { name: "size", label: "Size" },
      { name: "count", label: "How many" },
    ]}
  />
);

export function readStock(read: TextReader, name: string): { sizeMm: number; count: number }[] {
  const rows = read.rows(name, ["size", "count"]);
  read.want(name, rows.length <= most, "too-large");
  return rows.map((row) => {
    const count = read.has(`${row}.count`) ? read.number(`${row}.count`, true) : 1;
    read.want(`${row}.count`, count >= 0, "too-small");
    return { sizeMm: over0(read, `${row}.size`), count };
  });
}
