import { kindName } from "~/app/features/kinds";
import { stageKinds } from "~/core/stages";
import { ChoiceField } from "../form/choice-field";
import { TextField } from "../form/text-field";
import { TickField } from "../form/tick-field";
import { useFormTexts } from "../form/use-form-texts";
import { kindForms, kindIn, readElement } from "../kinds/forms";
import { ElementFigures } from "./element-figures";

/** What the stage is made of, its fields, and beside them the drawing and what follows from it while one types. */
export function ElementFields({ fixedKind = false }: { fixedKind?: boolean }) {
  const texts = useFormTexts();
  const { Fields, turned } = kindForms[kindIn(texts)];
  return (
    <fieldset className="grid xl:grid-cols-[minmax(0,40rem)_minmax(0,1fr)] gap-x-10 gap-y-4">
      <legend className="text-xl font-bold mb-2">Geometry</legend>
      <div className="grid gap-4 content-start">
        {!fixedKind && (
          <ChoiceField
            name="kind"
            legend="It is a"
            usual="gear-pair"
            options={stageKinds.map((value) => ({ value, label: kindName(value) }))}
          />
        )}
        <Fields />
        {turned !== "no" && <TurnedBy teeth={turned === "arc"} />}
      </div>
      <ElementFigures read={readElement(texts)} />
    </fieldset>
  );
}

function TurnedBy({ teeth }: { teeth: boolean }) {
  const texts = useFormTexts();
  return (
    <>
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
      {teeth && <TickField name="arc.part" label="It turns only part of a turn" />}
      {teeth && texts["arc.part"] === "yes" && (
        <div className="grid grid-cols-2 gap-4">
          <TextField name="arc.from" label="From" hint="degrees of the gear from the witness mark" />
          <TextField name="arc.to" label="To" hint="degrees, in the direction teeth are counted" />
        </div>
      )}
    </>
  );
}
