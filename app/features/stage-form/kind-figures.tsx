import type { ReactNode } from "react";
import { useWords } from "~/app/features/words/use-words";
import type { Elements, StageKind } from "~/core/stages";
import type { Kind } from "~/core/stages/kinds/kind";
import type { KindDrawn } from "~/core/stages/kinds/kind-drawn";
import type { KindGiven } from "~/core/stages/kinds/kind-given";
import { ShapesDrawing } from "../drawing/shapes-drawing";
import type { KindForm } from "../kinds/kind-form";
import { type KindWords, lineOf } from "../kinds/kind-words";
import { ThrustPane } from "../stage/thrust-pane";
import { Refused } from "../words/refused";
import { unwiseWords } from "../words/unwise";

/** What a kind knows of itself, says of itself, and shows in its form. */
export type KindShown<K extends StageKind> = {
  kind: Pick<Kind<K>, "thrusts">;
  given: Pick<KindGiven<K>, "check">;
  drawn: Pick<KindDrawn<K>, "shapes">;
  words: KindWords<K>;
  form: Pick<KindForm<K>, "figures" | "Drawn">;
};

/** A stage of one kind to scale and what follows from it: so that a slip in a figure is seen. `saves`: in a form that keeps it. */
export function KindFigures<K extends StageKind>({
  of: {
    kind,
    given,
    drawn: { shapes },
    words,
    form,
  },
  element,
  saves = false,
}: {
  of: KindShown<K>;
  element: Elements[K];
  saves?: boolean;
}) {
  const reader = useWords();
  const checked = given.check(element);
  const label = `The ${lineOf(words, reader, element)}, to scale`;
  const byHand = form.Drawn && <form.Drawn element={element} label={label} />;
  if (!checked.ok)
    return (
      <div className="self-start grid gap-3 xl:sticky xl:top-4">
        {byHand}
        <p role="status" className="text-lg font-semibold text-outside border-l-4 border-outside pl-4">
          <Refused refusal={checked.refusal} />
        </p>
      </div>
    );
  const drawn = byHand ? null : shapes(element);
  return (
    <section aria-label="The stage" className="self-start grid gap-3 xl:sticky xl:top-4">
      {byHand ?? (
        <div className="bg-panel p-3 grid place-items-center">
          {drawn && <ShapesDrawing drawn={drawn} label={label} />}
        </div>
      )}
      <ul aria-label="Unwise" className="grid gap-1">
        {checked.value.map((warning) => (
          <li key={JSON.stringify(warning)} className="border-l-4 border-near pl-3">
            {unwiseWords(reader, warning)}
            {saves && " It is saved all the same, and recorded."}
          </li>
        ))}
      </ul>
      <dl className="grid grid-cols-[auto_1fr] gap-x-5 gap-y-1">
        {form.figures(reader, element).map(([name, value]) => (
          <Row key={name} name={name}>
            {value}
          </Row>
        ))}
      </dl>
      <ThrustPane thrusts={kind.thrusts(element)} words={words.thrust} />
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
