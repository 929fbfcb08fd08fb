import { ChoiceField } from "../../form/choice-field";
import { OrderedRowsField } from "../../form/ordered-rows-field";
import { TextField } from "../../form/text-field";
import { TextReader } from "../../form/text-reader";
import { useFormTexts } from "../../form/use-form-texts";
import { FieldRow } from "../form-parts";
import { idlerFigures } from "./idlers";

/** What a belt is made of. */
export const BeltMatter = () => (
  <FieldRow>
    <TextField name="mass" label="Mass a metre" hint="kg/m of one belt, weighed; empty: by its class, else not known" />
    <TextField name="stiffness" label="Stiffness EA" hint="N; empty: learnt from the first moves" />
    <TextField name="bending" label="Bending stiffness EI" hint="N·mm²; matters on short spans" />
  </FieldRow>
);

export function IdlerFields({ what }: { what: string }) {
  const texts = useFormTexts();
  const idlers = new TextReader(texts).rows("idlers", idlerFigures);
  return (
    <>
      <OrderedRowsField
        name="idlers"
        legend="Idlers and rollers, as the strands run over them"
        hint={`mm from the driver's middle, y upwards, the driven to the right; diameter where the line of the ${what} runs. It runs out along the lower strand. Pressed in: how far beyond just touching the strand, instead of y.`}
        one="Idler"
        most={20}
        columns={[
          { name: "x", label: "x" },
          { name: "y", label: "y" },
          { name: "d", label: "Diameter" },
          {
            name: "side",
            label: "Touches",
            options: [
              { value: "outside", label: "outside" },
              { value: "inside", label: "inside" },
            ],
          },
          {
            name: "strand",
            label: "Strand",
            options: [
              { value: "", label: "by its y" },
              { value: "lower", label: "lower" },
              { value: "upper", label: "upper" },
            ],
          },
          { name: "press", label: "or pressed in" },
        ]}
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
