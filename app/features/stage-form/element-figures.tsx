import type { ReactNode } from "react";
import { elementWords } from "~/app/features/kinds";
import { useWords } from "~/app/features/words/use-words";
import { checkElement, type StageElement } from "~/core/stages";
import { StageDrawing } from "../drawing/stage-drawing";
import type { Read } from "../form/text-reader";
import { figuresOf } from "../kinds/forms";
import { ThrustPane } from "../stage/thrust-pane";
import { Refused } from "../words/refused";
import { unwiseWords } from "../words/unwise";

/** The stage to scale and what follows from it: so that a slip in a figure is seen. `saves`: in a form that
 * keeps it. */
export function ElementFigures({ read, saves = false }: { read: Read<StageElement>; saves?: boolean }) {
  const reader = useWords();
  const element = read.value;
  if (!element)
    return (
      <p className="text-lg text-mid self-start border-l-4 border-rule pl-4">
        What is typed draws the stage here, to scale, and says what follows from it.
      </p>
    );
  const checked = checkElement(element);
  if (!checked.ok)
    return (
      <p role="status" className="text-lg font-semibold text-outside self-start border-l-4 border-outside pl-4">
        <Refused refusal={checked.refusal} />
      </p>
    );
  return (
    <section aria-label="The stage" className="self-start grid gap-3">
      <div className="bg-panel p-3 grid place-items-center">
        <StageDrawing element={element} label={`The ${elementWords(reader, element)}, to scale`} />
      </div>
      <ul aria-label="Unwise" className="grid gap-1">
        {checked.value.map((warning) => (
          <li key={JSON.stringify(warning)} className="border-l-4 border-near pl-3">
            {unwiseWords(reader, warning)}
            {saves && " It is saved all the same, and recorded."}
          </li>
        ))}
      </ul>
      <dl className="grid grid-cols-[auto_1fr] gap-x-5 gap-y-1">
        {figuresOf(reader, element).map(([name, value]) => (
          <Row key={name} name={name}>
            {value}
          </Row>
        ))}
      </dl>
      <ThrustPane element={element} />
    </section>
  );
}

function Row({ name, children }: { name: string; children: ReactNode }) {
  return (
    <>
      <dt className="text-mid">{name}</dt>
      <dd className="figure">{children}</dd>
    </>
  );
}
