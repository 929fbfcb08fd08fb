import { ChoiceField } from "../../form/choice-field";
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
        <TextField name="beltWidth" label="Width" hint="mm; empty: not known" />
        <TextField name="centres" label="Centre distance" hint="mm, as installed" />
      </FieldRow>
      <ChoiceField
        name="profile"
        legend="Its teeth are"
        usual=""
        options={[
          { value: "", label: "not known" },
          { value: "trapezoidal", label: "trapezoidal" },
          { value: "curvilinear", label: "curvilinear" },
        ]}
      />
      <BeltMatter />
      <IdlerFields what="belt" />
    </>
  );
}
