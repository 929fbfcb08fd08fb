import { ChoiceField } from "../../form/choice-field";
import { TextField } from "../../form/text-field";
import { useFormTexts } from "../../form/use-form-texts";
import { FieldRow, MoreFields } from "../form-parts";
import { makeWords } from "./words";

export function CouplingFields() {
  return (
    <>
      <ChoiceField
        name="couplingMake"
        legend="Made as"
        usual="jaw"
        options={Object.entries(makeWords).map(([value, label]) => ({ value, label }))}
      />
      <EndFields end={1} title="Driver" />
      <EndFields end={2} title="Driven" />
      <FieldRow>
        <TextField name="rimDiameter" label="Diameter of the rim" hint="mm, where the dial runs" />
        <TextField name="hubGap" label="Between the hubs" hint="mm, cold" />
        <TextField name="rpm" label="Speed" hint="turns a minute; empty: not known" inputMode="decimal" />
      </FieldRow>
      <MoreFields title="What it allows, and where the feet stand">
        <FieldRow>
          <TextField name="allowRadial" label="Allows of offset" hint="mm; empty: not known" />
          <TextField name="allowAngular" label="Allows of angle" hint="degrees; empty: not known" />
          <TextField name="allowAxial" label="Allows along the shaft" hint="mm; empty: not known" />
        </FieldRow>
        <FieldRow>
          <TextField name="frontFeet" label="Front feet" hint="mm behind the rim, of the machine that is moved" />
          <TextField name="rearFeet" label="Rear feet" hint="mm behind the rim" />
        </FieldRow>
      </MoreFields>
    </>
  );
}

/** One shaft in its hub. */
export function EndFields({ end, title }: { end: 1 | 2; title: string }) {
  const texts = useFormTexts();
  const name = (what: string) => `end${end}.${what}`;
  const hold = texts[name("hold")] || "key";
  return (
    <fieldset className="grid gap-3 border-t border-rule pt-2">
      <legend className="font-semibold pr-3">{title}</legend>
      <FieldRow>
        <TextField name={name("shaft")} label={`Shaft, ${title.toLowerCase()}`} hint="mm, as measured" />
        <TextField name={name("bore")} label={`Bore, ${title.toLowerCase()}`} hint="mm, as measured" />
      </FieldRow>
      <ChoiceField
        name={name("hold")}
        legend={`Held on the ${title.toLowerCase()}'s shaft by`}
        usual="key"
        options={[
          { value: "key", label: "a key" },
          { value: "flat", label: "a flat" },
          { value: "clamp", label: "clamping alone" },
        ]}
      />
      {hold !== "clamp" && (
        <FieldRow>
          <TextField
            name={name("inner")}
            label={hold === "key" ? `Key, ${title.toLowerCase()}` : `Shaft over the flat, ${title.toLowerCase()}`}
            hint="mm"
          />
          <TextField
            name={name("outer")}
            label={hold === "key" ? `Slot, ${title.toLowerCase()}` : `Bore over the flat, ${title.toLowerCase()}`}
            hint="mm"
          />
        </FieldRow>
      )}
    </fieldset>
  );
}
