import { TextField } from "../../form/text-field";
import { FieldRow } from "../form-parts";
import { IdlerFields } from "../runs/fields";

export function ChainFields() {
  return (
    <>
      <FieldRow>
        <TextField name="beltPitch" label="Chain pitch" hint="mm, or 1/2 in" />
        <TextField name="z1" label="Teeth of the driver" inputMode="numeric" />
        <TextField name="z2" label="Teeth of the driven" inputMode="numeric" />
        <TextField name="links" label="Links" hint="even, or one is cranked" inputMode="numeric" />
        <TextField name="centres" label="Centre distance" hint="mm, as installed" />
        <TextField name="incline" label="Line of centres rises by" hint="degrees; 90: upright" />
      </FieldRow>
      <IdlerFields what="chain" />
    </>
  );
}
