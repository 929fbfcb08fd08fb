import { TextField } from "../../form/text-field";
import { FieldRow } from "../form-parts";
import { BeltMatter, IdlerFields } from "../runs/fields";

export function ToothedBeltFields() {
  return (
    <>
      <FieldRow>
        <TextField name="beltPitch" label="Belt pitch" hint="mm: 2, 3, 5, 8, 10 …" />
        <TextField name="z1" label="Teeth of the driver" inputMode="numeric" />
        <TextField name="z2" label="Teeth of the driven" inputMode="numeric" />
        <TextField name="beltTeeth" label="Teeth of the belt" inputMode="numeric" />
        <TextField name="centres" label="Centre distance" hint="mm, as installed" />
      </FieldRow>
      <BeltMatter />
      <IdlerFields what="belt" />
    </>
  );
}
