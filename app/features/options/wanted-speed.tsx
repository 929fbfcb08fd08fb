import { parseNumber } from "~/core/quantity";
import { rpmForSpeed } from "~/core/trains";
import { Button } from "~/ui/button";
import { Field, Select } from "~/ui/field";
import { metresASecond } from "../words/speed-units";

export const speedUnits = ["rpm", "m/s", "km/h", "mph"] as const;
type SpeedUnit = (typeof speedUnits)[number];

export type WantedSpeed = { value: number; unit: SpeedUnit };

/** A wanted speed out of an address; null where none stands there. */
export function wantedIn(search: URLSearchParams): WantedSpeed | null {
  const value = parseNumber(search.get("speed") ?? "");
  if (!value.ok || value.value <= 0) return null;
  return { value: value.value, unit: speedUnits.find((unit) => unit === search.get("unit")) ?? "rpm" };
}

/** In turns a minute of an output with such a wheel, of a model by what it stands for; null where that cannot be known. */
export const wantedRpmOf = (
  wanted: WantedSpeed | null,
  of: { wheelDiameterMm: number | null; scale: number | null },
): number | null =>
  wanted === null
    ? null
    : wanted.unit === "rpm"
      ? wanted.value
      : rpmForSpeed(wanted.value * metresASecond[wanted.unit], of.wheelDiameterMm, of.scale);

/** Asks for the speed that is wanted: every option says then what ratio it would need. */
export function WantedField({ search }: { search: URLSearchParams }) {
  return (
    <form method="get" className="flex flex-wrap gap-3 items-end" aria-label="Solved backwards">
      <Field
        label="Wanted at the output"
        name="speed"
        defaultValue={search.get("speed") ?? ""}
        inputMode="decimal"
        autoComplete="off"
        className="w-44"
      />
      <Select label="In" name="unit" defaultValue={search.get("unit") ?? "rpm"} className="w-28">
        {speedUnits.map((unit) => (
          <option key={unit}>{unit}</option>
        ))}
      </Select>
      <Button type="submit" large>
        Say the ratios
      </Button>
    </form>
  );
}
