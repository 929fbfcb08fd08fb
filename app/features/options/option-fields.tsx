import { useState } from "react";
import { v7 } from "uuid";
import type { Bodies } from "~/core/logbook";
import { ChoiceField } from "../form/choice-field";
import { FormEnd } from "../form/form-end";
import { SavedForm } from "../form/saved-form";
import { TextField } from "../form/text-field";
import { useSavedForm } from "../form/use-saved-form";
import { optionField, optionTexts, readOption } from "./read-option";

/** One way to drive a stage or to build an assembly, new or revised. */
export function OptionForm({
  of,
  assemblies,
  option,
  back,
}: {
  /** The id of the stage, or of the machine. */
  of: string;
  /** Of a machine the assemblies that are known by name; left out: of a stage. */
  assemblies?: readonly string[];
  option: Bodies["option"] | null;
  back: string;
}) {
  const [id] = useState(() => v7());
  const saved = useSavedForm({
    key: `option ${of} ${option?.name ?? ""}`.trim(),
    initial: option ? optionTexts(option) : { outcome: "open" },
    read: (texts) => readOption(texts, assemblies !== undefined),
    schema: async () => (await import("~/operations/option-fields")).optionFields,
    fieldOf: optionField,
    send: (said) => ({ ...said, id }),
  });
  return (
    <SavedForm of={saved}>
      <div className="grid grid-cols-2 sm:grid-cols-4 gap-4">
        {assemblies && (
          <TextField
            name="assembly"
            label="Of which assembly"
            hint={assemblies.join(", ")}
            className="col-span-full max-w-md"
          />
        )}
        <TextField
          name="name"
          label="Called"
          hint={`${assemblies ? "sleeve in place of shims" : "worm and belt"}; said again it is revised`}
          className="col-span-2"
        />
        {!assemblies && (
          <>
            <TextField name="motor" label="Motor, turns a minute" />
            <TextField name="ratio" label="Ratio" hint="35: motor turns for one; −35 reversed" />
            <TextField name="wheel" label="Wheel or drum" hint="diameter, mm" />
            <TextField name="scale" label="In a scale of 1 to" hint="of a model" />
            <TextField name="torque" label="Torque of the motor" hint="N·m" />
            <TextField name="efficiency" label="Efficiency" hint="%" />
            <TextField name="measured" label="Measured at the output" hint="turns a minute, when it ran" />
          </>
        )}
        <TextField name="price" label="Price" />
        <TextField name="noise" label="Noise" className="col-span-2" />
        <TextField name="room" label="Room it needs" hint="120 × 80 × 60 mm" className="col-span-2" />
        <TextField name="effort" label="Effort to build in" className="col-span-2" />
        <TextField name="use" label="In use" hint="holds its load, coasts …" className="col-span-2" />
        <TextField name="service" label="Ease of service" className="col-span-2" />
      </div>
      <ChoiceField
        name="outcome"
        legend="It is"
        usual="open"
        options={[
          { value: "open", label: "open" },
          { value: "chosen", label: "chosen" },
          { value: "lost", label: "lost" },
        ]}
      />
      <TextField name="why" label="Why" hint="of one that lost: what it would take to bring it back" />
      <FormEnd save="Keep it" busy={saved.busy} back={back} />
    </SavedForm>
  );
}
