import { ChoiceField } from "../../form/choice-field";
import { TextField } from "../../form/text-field";
import { useFormTexts } from "../../form/use-form-texts";
import { FieldRow, HandField } from "../form-parts";

export function PlanetaryFields() {
  const texts = useFormTexts();
  const compound = texts.planetary === "compound";
  const members = compound
    ? ["sun", "carrier", "ring1", "ring2"].map((value) => ({ value, label: value.replace(/(\d)/, " $1") }))
    : ["sun", "carrier", "ring"].map((value) => ({ value, label: value }));
  return (
    <>
      <ChoiceField
        name="planetary"
        legend="Set"
        usual="simple"
        options={[
          { value: "simple", label: "simple: sun, planets, ring" },
          { value: "compound", label: "stepped planets, two rings" },
        ]}
      />
      <FieldRow>
        <TextField name="sun" label="Teeth of the sun" inputMode="numeric" />
        <TextField name="planetA" label={compound ? "Planet gear A" : "Teeth of a planet"} inputMode="numeric" />
        <TextField name="ring1" label={compound ? "Ring 1, with A" : "Teeth of the ring"} inputMode="numeric" />
        {compound && (
          <>
            <TextField name="planetB" label="Planet gear B" hint="joined to A" inputMode="numeric" />
            <TextField name="ring2" label="Ring 2, with B" inputMode="numeric" />
          </>
        )}
        <TextField name="planets" label="How many planets" inputMode="numeric" />
        <TextField name="pitch" label="Module" hint="mm, for the drawing, the room and forces" />
        <TextField name="helix1" label={compound ? "Helix of ring 1" : "Helix angle"} hint="degrees; empty: spur" />
        {compound && <TextField name="helix2" label="Helix of ring 2" hint="degrees; empty: spur" />}
      </FieldRow>
      {texts.helix1 && <HandField name="helix1Hand" legend={compound ? "Hand of ring 1" : "Hand of the ring"} />}
      {compound && texts.helix2 && <HandField name="helix2Hand" legend="Hand of ring 2" />}
      <ChoiceField name="fixed" legend="Fixed" usual={compound ? "ring1" : "ring"} options={members} />
      <ChoiceField name="input" legend="Driven in at" usual="sun" options={members} />
      <ChoiceField name="output" legend="Taken out at" usual={compound ? "ring2" : "carrier"} options={members} />
    </>
  );
}
