import { type RefObject, useLayoutEffect, useRef, useState } from "react";
import { type FieldErrors, useFormState } from "react-hook-form";
import { Link } from "react-router";
import { Button, buttonClass } from "~/ui/button";
import { wholeForm } from "./resolver";

/** The end of a form: the key that saves it, the way back, and what stands in its way. */
export function FormEnd({
  save,
  busy,
  back,
  backWord = "Back, and keep what is typed",
}: {
  save: string;
  busy: boolean;
  back: string;
  backWord?: string;
}) {
  const { errors, submitCount } = useFormState();
  const { [wholeForm]: whole, ...fields } = errors;
  const wrong = countOf(fields);
  const end = useRef<HTMLDivElement>(null);
  const first = useFirstWrong(end, submitCount, wrong);
  return (
    <div
      ref={end}
      className="border-t border-rule pt-4 flex flex-wrap gap-4 items-center sticky bottom-0 bg-ground pb-3"
    >
      <Button kind="now" large type="submit" disabled={busy}>
        {save}
      </Button>
      <Link to={back} className={buttonClass("quiet", true)}>
        {backWord}
      </Link>
      {(whole || wrong > 0) && (
        <p role="alert" className="text-outside font-semibold text-lg">
          {whole ? String(whole.message) : wrongWords(first, wrong)}
        </p>
      )}
    </div>
  );
}

const wrongWords = (first: string, wrong: number): string => {
  const more = wrong === 1 ? "" : `, and ${wrong - 1} more`;
  return first ? `Look at: ${first}${more}.` : `${wrong} ${wrong === 1 ? "field needs" : "fields need"} a look.`;
};

/** After a press on the key that saves: goes to the first field that stands in its way, as they stand on the page, and gives its name. */
function useFirstWrong(end: RefObject<HTMLElement | null>, submitCount: number, wrong: number): string {
  const [first, setFirst] = useState("");
  const went = useRef(0);
  // Before it is drawn: what stands in the way is named at once.
  useLayoutEffect(() => {
    if (wrong === 0 || went.current === submitCount) return;
    went.current = submitCount;
    const field = end.current?.closest("form")?.querySelector<HTMLInputElement>("[aria-invalid=true]");
    setFirst(field?.labels?.[0]?.textContent?.trim() ?? "");
    if (!field) return;
    field.scrollIntoView({ block: "center" });
    field.focus({ preventScroll: true });
  }, [end, submitCount, wrong]);
  return first;
}

/** How many fields have a problem, those of lists among them. */
const countOf = (errors: FieldErrors): number =>
  Object.values(errors).reduce<number>((sum, error) => {
    if (!error) return sum;
    return sum + (typeof error.type === "string" ? 1 : countOf(error as FieldErrors));
  }, 0);
