import { ChoiceField } from "../../form/choice-field";
import { TextField } from "../../form/text-field";
import { FieldRow } from "../form-parts";

export function GapFields() {
  return (
    <>
      <ChoiceField
        name="gapWhat"
        legend="The gap is"
        usual="end-float"
        options={[
          { value: "end-float", label: "end float" },
          { value: "pinion-clearance", label: "a pinion's clearance to its ring" },
          { value: "running-clearance", label: "running clearance" },
        ]}
      />
      <FieldRow>
        <TextField name="gapDiameter" label="Diameter of the faces" hint="mm, for the drawing" />
        <TextField name="gapPlaces" label="Read at" hint="places; empty: 1" inputMode="numeric" />
      </FieldRow>
      <TextField
        name="gapNames"
        label="What the places are called"
        hint="drive side, middle, far side; empty: place 1, place 2 …"
      />
    </>
  );
}
