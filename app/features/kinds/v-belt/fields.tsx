import { vSections } from "~/core/belts";
import { ChoiceField } from "../../form/choice-field";
import { TextField } from "../../form/text-field";
import { FieldRow } from "../form-parts";
import { BeltMatter, IdlerFields } from "../runs/fields";

export function VBeltFields() {
  return (
    <>
      <FieldRow>
        <TextField name="d1" label="Pitch diameter, driver" hint="mm" />
        <TextField name="d2" label="Pitch diameter, driven" hint="mm" />
        <TextField name="beltLength" label="Pitch length" hint="mm" />
        <TextField name="centres" label="Centre distance" hint="mm, as installed" />
        <TextField name="belts" label="Belts side by side" hint="usually 1" inputMode="numeric" />
      </FieldRow>
      <ChoiceField
        name="section"
        legend="Section, by its top width"
        usual=""
        options={[
          { value: "", label: "not known" },
          ...vSections.map((value) => ({
            value,
            label: `${value.replace(" ", " mm, ")}${value.includes(" ") ? "" : " mm"}`,
          })),
        ]}
      />
      <BeltMatter />
      <IdlerFields what="belt" />
    </>
  );
}
