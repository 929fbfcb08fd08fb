import { TextField } from "../../form/text-field";
import { FieldRow, HandField } from "../form-parts";

export function WormFields() {
  return (
    <>
      <FieldRow>
        <TextField name="starts" label="Starts of the worm" inputMode="numeric" />
        <TextField name="z2" label="Teeth of the wheel" inputMode="numeric" />
        <TextField name="pitch" label="Axial module" hint="mm, or DP" />
        <TextField name="d1" label="Pitch diameter of the worm" hint="mm" />
        <TextField name="centres" label="Centre distance" hint="mm, as installed" />
        <TextField name="alpha" label="Pressure angle" hint="normal, usually 20" />
      </FieldRow>
      <HandField legend="Hand of the worm" />
    </>
  );
}
