import { RowsField } from "../form/rows-field";

/** Each screw where it stands. */
export const ClampPoints = () => (
  <RowsField
    name="clamps.points"
    legend="Points, mm"
    hint="From the middle of the moving part; x to the right, y upwards. Lines from a sheet can be pasted."
    one="Screw"
    columns={[
      { name: "x", label: "x" },
      { name: "y", label: "y" },
    ]}
  />
);
