import { useFormState } from "react-hook-form";
import { drawnOf, givenOf, type StageElement } from "~/core/stages";
import { kindOf } from "~/core/stages/kinds";
import type { Read } from "../form/text-reader";
import { wordsOf } from "../kinds";
import { formOf } from "../kinds/forms";
import { Refused } from "../words/refused";
import { KindFigures } from "./kind-figures";

/** What is typed into a form that keeps it, of any kind, to scale and with what follows from it. */
export function ElementFigures({ read: { value: element, problems } }: { read: Read<StageElement> }) {
  const { errors } = useFormState();
  if (element)
    return (
      <KindFigures
        of={{
          kind: kindOf(element),
          given: givenOf(element),
          drawn: drawnOf(element),
          words: wordsOf(element),
          form: formOf(element),
        }}
        element={element}
        saves
      />
    );
  // What is still empty is not wrong yet, and what stands at its field need not be said twice.
  const unsaid = Object.keys(errors).length === 0 ? Object.values(problems) : [];
  const wrong = unsaid.find(({ code }) => code !== "empty" && code !== "missing");
  if (wrong)
    return (
      <p role="status" className="text-lg font-semibold text-outside self-start border-l-4 border-outside pl-4">
        <Refused refusal={wrong} />
      </p>
    );
  return (
    <p className="text-lg text-mid self-start border-l-4 border-rule pl-4">
      What is typed draws the stage here, to scale, and says what follows from it.
    </p>
  );
}
