import { PairFigures } from "./pair-figures";
import { ChoiceField, TextField, TickField, useForm } from "./text-field";
import { readPair } from "./texts";

/** Teeth, pitch, shifts, centres, parts: with the pair drawn and its figures beside, while one types. */
export function GeometryFields() {
  const { fields } = useForm();
  const pair = readPair(fields.texts).value;
  const internal = fields.texts.internal === "yes";
  return (
    <fieldset className="grid xl:grid-cols-[minmax(0,34rem)_minmax(0,1fr)] gap-x-10 gap-y-4">
      <legend className="text-xl font-bold mb-2">Gears</legend>
      <div className="grid gap-4 content-start">
        <div className="grid grid-cols-2 sm:grid-cols-3 gap-4">
          <TextField name="z1" label="Teeth of the pinion" inputMode="numeric" />
          <TextField name="z2" label={internal ? "Teeth of the ring" : "Teeth of the gear"} inputMode="numeric" />
          <TextField name="pitch" label="Module, or DP" hint="1.5, or 16 DP" />
          <TextField name="centres" label="Centre distance" hint="mm, as installed" />
          <TextField name="x1" label="Shift of the pinion" hint="x, usually 0" />
          <TextField name="x2" label="Shift of the gear" hint="x, usually 0" />
        </div>
        <TickField name="internal" label="The gear is a ring with its teeth inside" />
        <details>
          <summary className="min-h-11 content-center cursor-pointer underline">
            Widths, materials, bores, pressure angle, a gear of another pitch
          </summary>
          <div className="grid grid-cols-2 sm:grid-cols-3 gap-4 pt-2">
            <TextField name="face" label="Face width" hint="mm" />
            <TextField name="alpha" label="Pressure angle" hint="degrees, usually 20" />
            <TextField name="pitch2" label="Gear's own pitch" hint="only where it differs" />
            <TextField name="material1" label="Pinion of" hint="steel, brass, acetal …" />
            <TextField name="bore1" label="Pinion bore" hint="mm" />
            <TextField name="key1" label="Pinion keyway" hint="depth beyond the bore" />
            <TextField name="material2" label="Gear of" />
            <TextField name="bore2" label="Gear bore" hint="mm" />
            <TextField name="key2" label="Gear keyway" hint="depth beyond the bore" />
          </div>
        </details>
        <ChoiceField
          name="turnedBy"
          legend="It can be turned by hand"
          usual="either"
          options={[
            { value: "either", label: "from either end" },
            { value: "input", label: "from the motor only" },
            { value: "output", label: "from the output only" },
            { value: "power", label: "not by hand" },
          ]}
        />
        <TickField name="arc" label="It turns only part of a turn" />
        {fields.texts.arc === "yes" && (
          <div className="grid grid-cols-2 gap-4">
            <TextField name="arc.from" label="From" hint="degrees of the gear from the witness mark" />
            <TextField name="arc.to" label="To" hint="degrees, in the direction teeth are counted" />
          </div>
        )}
      </div>
      <PairFigures pair={pair} />
    </fieldset>
  );
}
