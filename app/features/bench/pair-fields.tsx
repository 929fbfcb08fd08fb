import type { PairGeometry } from "~/core/gears";
import { TextField } from "../form/text-field";
import type { Read } from "../form/text-reader";
import type { Texts } from "../form/texts";
import { TickField } from "../form/tick-field";
import { gearTyped } from "../kinds/gear-pair/typed";
import { readKind } from "../kinds/kind-form";

/** A pair from its texts; the centre distance may be left out here. */
export function pairOf(texts: Texts): Read<PairGeometry> {
  const given = Boolean(texts.centres?.trim());
  const read = readKind(gearTyped, { ...texts, ...(given ? {} : { centres: "1" }) });
  if (!read.value) return read;
  const { centreDistanceMm, ...rest } = read.value.pair;
  return { value: { ...rest, ...(given ? { centreDistanceMm } : {}) }, problems: null };
}

/** The fields of a gear pair that belongs to no machine. */
export function PairFields() {
  return (
    <>
      <div className="grid grid-cols-2 sm:grid-cols-3 gap-4">
        <TextField name="z1" label="Teeth of the pinion" inputMode="numeric" />
        <TextField name="z2" label="Teeth of the gear" inputMode="numeric" />
        <TextField name="pitch" label="Module, or DP" hint="1.5, or 16 DP" />
        <TextField name="centres" label="Centre distance" hint="empty: free of backlash unthinned" />
        <TextField name="x1" label="Shift of the pinion" hint="x, usually 0" />
        <TextField name="x2" label="Shift of the gear" hint="x, usually 0" />
        <TextField name="thin1" label="Pinion thinned by" hint="mm at the reference circle" />
        <TextField name="thin2" label="Gear thinned by" hint="mm at the reference circle" />
        <TextField name="alpha" label="Pressure angle" hint="degrees, usually 20" />
        <TextField name="face" label="Face width" hint="mm" />
      </div>
      <TickField name="internal" label="The gear is a ring with its teeth inside" />
    </>
  );
}
