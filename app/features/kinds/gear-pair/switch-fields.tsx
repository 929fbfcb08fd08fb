import { ChoiceField } from "../../form/choice-field";
import { RowsField } from "../../form/rows-field";
import { TextField } from "../../form/text-field";
import { TickField } from "../../form/tick-field";
import { useFormTexts } from "../../form/use-form-texts";
import { FieldRow } from "../form-parts";

/** The other gears of a stage that switches, where each stands, and what slides. */
export function SwitchFields() {
  const texts = useFormTexts();
  return (
    <>
      <TextField name="gearName" label="This gear is called" hint="low, slow …" className="max-w-60" />
      <RowsField
        name="gears"
        legend="The other gears"
        hint="An empty shift is 0."
        one="Gear"
        most={11}
        columns={[
          { name: "name", label: "Called", wide: true },
          { name: "z1", label: "Pinion" },
          { name: "z2", label: "Gear" },
          { name: "x1", label: "x pinion" },
          { name: "x2", label: "x gear" },
        ]}
      />
      <RowsField
        name="positions"
        legend="Gears with a position of their own"
        hint="Where the centres part or close with the gear that is in: its stop, the spacer that is fitted, by how much a mm of it parts the centres (−1: it closes them; empty: 1), the centre distance, limits of the backlash where they are others than the stage's."
        one="Position"
        most={12}
        columns={[
          { name: "gear", label: "Gear" },
          {
            name: "by",
            label: "Rests on a",
            options: [
              { value: "spacer", label: "spacer" },
              { value: "shoulder", label: "shoulder" },
              { value: "none", label: "no stop" },
            ],
          },
          { name: "thick", label: "Fitted, mm" },
          { name: "per", label: "A mm parts" },
          { name: "centres", label: "Centres" },
          { name: "lo", label: "Lower" },
          { name: "aim", label: "Aim" },
          { name: "hi", label: "Upper" },
          { name: "source", label: "Source" },
        ]}
      />
      <TickField name="slides" label="A gear slides along its shaft between two mates" />
      {texts.slides === "yes" && <SlideFields by={texts["slide.by"]} />}
    </>
  );
}

function SlideFields({ by }: { by: string | undefined }) {
  return (
    <>
      <p className="text-mid">
        Places along the shaft in mm, growing to the right; the sliding gear as it stands at slide position 0.
      </p>
      <FieldRow>
        <TextField name="slide.left" label="In at the left stop" hint="name of the gear" />
        <TextField name="slide.right" label="In at the right stop" hint="name of the gear" />
        <TextField name="slide.share" label="Face that must meet" hint="% of the narrower; usually 95" />
        <TextField name="slide.ownFrom" label="Sliding face from" />
        <TextField name="slide.ownTo" label="Sliding face to" />
        <TextField name="slide.neutral" label="Neutral, least" hint="mm; usually 0" />
        <TextField name="slide.otherFrom" label="Its other face from" hint="empty: the same face" />
        <TextField name="slide.otherTo" label="Its other face to" />
        <TextField name="slide.mate1From" label="Left mate from" />
        <TextField name="slide.mate1To" label="Left mate to" />
        <TextField name="slide.mate2From" label="Right mate from" />
        <TextField name="slide.mate2To" label="Right mate to" />
        <TextField name="slide.stop1" label="Position at the left stop" />
        <TextField name="slide.stop2" label="Position at the right stop" />
      </FieldRow>
      <ChoiceField
        name="slide.by"
        legend="It is shifted by"
        usual="hand"
        options={[
          { value: "hand", label: "hand" },
          { value: "lever", label: "lever" },
          { value: "servo", label: "servo" },
          { value: "cylinder", label: "cylinder" },
        ]}
      />
      {(by ?? "hand") !== "hand" && (
        <FieldRow>
          <TextField name="slide.unit" label="Counted in" hint="°, mm, µs of pulse …" />
          <TextField name="slide.at1" label="At the left stop it stands at" />
          <TextField name="slide.at2" label="At the right stop it stands at" />
          <TextField name="slide.end1" label="Its own end, low" hint="empty: not known" />
          <TextField name="slide.end2" label="Its own end, high" hint="empty: not known" />
        </FieldRow>
      )}
    </>
  );
}
