import { TextField } from "../../form/text-field";
import { TickField } from "../../form/tick-field";
import { useFormTexts } from "../../form/use-form-texts";
import { FieldRow, HandField, MoreFields } from "../form-parts";
import { SwitchFields } from "./switch-fields";

export function GearFields() {
  const texts = useFormTexts();
  const internal = texts.internal === "yes";
  return (
    <>
      <FieldRow>
        <TextField name="z1" label="Teeth of the pinion" inputMode="numeric" />
        <TextField name="z2" label={internal ? "Teeth of the ring" : "Teeth of the gear"} inputMode="numeric" />
        <TextField name="pitch" label="Module, or DP" hint="1.5, or 16 DP; normal" />
        <TextField name="centres" label="Centre distance" hint="mm, as installed; empty: that of the teeth" />
        <TextField name="x1" label="Shift of the pinion" hint="x, usually 0" />
        <TextField name="x2" label="Shift of the gear" hint="x, usually 0" />
        <TextField name="helix" label="Helix angle" hint="degrees; empty: spur" />
      </FieldRow>
      {texts.helix && <HandField name="helixHand" legend="Hand of the pinion" />}
      <TickField name="internal" label="The gear is a ring with its teeth inside" />
      <TickField name="switches" label="It switches between two gears or more" />
      {texts.switches === "yes" && <SwitchFields />}
      <MoreFields title="Widths, materials, bores, thinning, pressure angle, a gear of another pitch">
        <FieldRow>
          <TextField name="face" label="Face width" hint="mm" />
          <TextField name="alpha" label="Pressure angle" hint="degrees, usually 20" />
          <TextField name="pitch2" label="Gear's own pitch" hint="only where it differs" />
          <TextField name="material1" label="Pinion of" hint="steel, brass, acetal …" />
          <TextField name="bore1" label="Pinion bore" hint="mm" />
          <TextField name="key1" label="Pinion keyway" hint="depth beyond the bore" />
          <TextField name="material2" label="Gear of" />
          <TextField name="bore2" label="Gear bore" hint="mm" />
          <TextField name="key2" label="Gear keyway" hint="depth beyond the bore" />
          <TextField name="thin1" label="Pinion thinned by" hint="mm, normal" />
          <TextField name="thin2" label="Gear thinned by" hint="mm, normal" />
        </FieldRow>
      </MoreFields>
    </>
  );
}
