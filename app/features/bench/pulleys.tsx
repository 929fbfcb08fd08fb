import type { PathPulley } from "~/core/belts";
import { choice, over0 } from "../form/field-readers";
import { OrderedRowsField } from "../form/ordered-rows-field";
import type { TextReader } from "../form/text-reader";

/** Pulleys in running order, each with its middle, its pitch diameter, and with which side the belt runs on it. */
export const PulleysField = ({ hint }: { hint: string }) => (
  <OrderedRowsField
    name="pulleys"
    legend="Pulleys in running order, mm"
    hint={hint}
    one="Pulley"
    columns={[
      { name: "x", label: "x" },
      { name: "y", label: "y" },
      { name: "d", label: "Pitch diameter" },
      {
        name: "side",
        label: "Belt runs on it",
        options: [
          { value: "inside", label: "inside" },
          { value: "outside", label: "outside" },
        ],
      },
    ]}
  />
);

export function readPulleys(read: TextReader): PathPulley[] {
  const rows = read.rows("pulleys", ["x", "y", "d"]);
  read.want("pulleys", rows.length >= 2, "missing");
  return rows.map((row) => ({
    x: read.length(`${row}.x`),
    y: read.length(`${row}.y`),
    pitchDiameterMm: over0(read, `${row}.d`),
    side: choice(read, `${row}.side`, ["inside", "outside"]),
  }));
}
