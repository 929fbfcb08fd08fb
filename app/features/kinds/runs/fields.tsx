import { ChoiceField, LinesField, TextField, useForm } from "../../form/text-field";
import { lines } from "../field-readers";
import { FieldRow } from "../form-parts";

/** What a belt is made of. */
export const BeltMatter = () => (
  <FieldRow>
    <TextField name="mass" label="Mass a metre" hint="kg/m of one belt; weigh a known length" />
    <TextField name="stiffness" label="Stiffness EA" hint="N; empty: learnt from the first moves" />
    <TextField name="bending" label="Bending stiffness EI" hint="N·mm²; matters on short spans" />
  </FieldRow>
);

export function IdlerFields({ what }: { what: string }) {
  const { fields } = useForm();
  const idlers = lines(fields.texts.idlers ?? "");
  return (
    <>
      <LinesField
        name="idlers"
        label="Idlers and rollers, one a line: x y diameter, inside or outside, lower or upper"
        hint={`From the driver's middle, y upwards, the driven to the right: 120 -20 40 outside lower. The ${what} runs out along the lower strand. Diameter where its line runs.`}
      />
      {idlers.length > 0 && (
        <ChoiceField
          name="moved"
          legend="The adjuster moves"
          usual="centres"
          options={[
            { value: "centres", label: "the centres" },
            ...idlers.map((_, i) => ({ value: String(i), label: `idler ${i + 1}` })),
          ]}
        />
      )}
    </>
  );
}
