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
  const { errors } = useFormState();
  const { [wholeForm]: whole, ...fields } = errors;
  const wrong = countOf(fields);
  return (
    <div className="border-t border-rule pt-4 flex flex-wrap gap-4 items-center sticky bottom-0 bg-ground pb-3">
      <Button kind="now" large type="submit" disabled={busy}>
        {save}
      </Button>
      <Link to={back} className={buttonClass("quiet", true)}>
        {backWord}
      </Link>
      {(whole || wrong > 0) && (
        <p role="alert" className="text-outside font-semibold text-lg">
          {whole ? String(whole.message) : `${wrong} ${wrong === 1 ? "field needs" : "fields need"} a look.`}
        </p>
      )}
    </div>
  );
}

/** How many fields have a problem, those of lists among them. */
const countOf = (errors: FieldErrors): number =>
  Object.values(errors).reduce<number>((sum, error) => {
    if (!error) return sum;
    return sum + (typeof error.type === "string" ? 1 : countOf(error as FieldErrors));
  }, 0);
