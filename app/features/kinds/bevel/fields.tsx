import { ChoiceField } from "../../form/choice-field";
import { TextField } from "../../form/text-field";
import { useFormTexts } from "../../form/use-form-texts";
import { FieldRow, HandField } from "../form-parts";

export function BevelFields() {
  const texts = useFormTexts();
  return (
    <>
      <FieldRow>
        <TextField name="z1" label="Teeth of the pinion" inputMode="numeric" />
        <TextField name="z2" label="Teeth of the gear" inputMode="numeric" />
        <TextField name="pitch" label="Outer module" hint="mm, or DP" />
        <TextField name="shafts" label="Shaft angle" hint="degrees, usually 90" />
        <TextField name="spiral" label="Spiral angle" hint="degrees; empty: straight" />
        <TextField name="face" label="Face width" hint="mm; usually a third of the cone" />
        <TextField name="alpha" label="Pressure angle" hint="usually 20" />
      </FieldRow>
      {texts.spiral && <HandField legend="Hand of the pinion's spiral" />}
      <ChoiceField
        name="shimmed"
        legend="The shims that are set lie behind"
        usual="gear"
        options={[
          { value: "gear", label: "the gear: backlash" },
          { value: "pinion", label: "the pinion: pattern" },
        ]}
      />
    </>
  );
}
