import { type ComponentProps, createContext, type ReactNode, useContext } from "react";
import { useWords } from "~/app/features/words/use-words";
import { Choice } from "~/ui/choice";
import { Field } from "~/ui/field";
import { Tick } from "~/ui/tick";
import { Refused } from "../words/refused";
import type { Problems } from "./text-reader";
import type { Fields } from "./use-texts";

type Form = { fields: Fields; problems: Problems | null };
const FormContext = createContext<Form | null>(null);
export const FormProvider = FormContext;

export function useForm(): Form {
  const form = useContext(FormContext);
  if (!form) throw new Error("outside of a form");
  return form;
}

/** A field of the form by its name; its problem stands under it once it was asked for, or as soon as what is typed cannot be read. */
export function TextField({
  name,
  label,
  hint,
  ...rest
}: { name: string; label: ReactNode; hint?: ReactNode } & ComponentProps<"input">) {
  const _reader = useWords();
  const { fields, problems } = useForm();
  const problem = problems?.[name];
  return (
    <Field
      {...rest}
      label={label}
      hint={hint}
      autoComplete="off"
      value={fields.texts[name] ?? ""}
      onChange={(event) => fields.set(name, event.target.value)}
      error={problem ? <Refused refusal={problem} /> : undefined}
    />
  );
}

export function TickField({ name, label, value = "yes" }: { name: string; label: ReactNode; value?: string }) {
  const { fields } = useForm();
  return (
    <Tick
      label={label}
      checked={fields.texts[name] === value}
      onChange={(checked) => fields.set(name, checked ? value : "")}
    />
  );
}

export function ChoiceField({
  name,
  legend,
  usual,
  options,
}: {
  name: string;
  legend: string;
  usual: string;
  options: readonly { value: string; label: string }[];
}) {
  const _reader = useWords();
  const { fields, problems } = useForm();
  const problem = problems?.[name];
  return (
    <div>
      <Choice
        legend={legend}
        name={name}
        value={fields.texts[name] || usual}
        onChange={(value) => fields.set(name, value)}
        options={options}
      />
      {problem && (
        <p role="alert" className="text-outside font-semibold mt-1">
          <Refused refusal={problem} />
        </p>
      )}
    </div>
  );
}

/** Several lines of one thing each, read as they are typed. */
export function LinesField({
  name,
  label,
  hint,
  rows = 3,
}: {
  name: string;
  label: string;
  hint: string;
  rows?: number;
}) {
  const _reader = useWords();
  const { fields, problems } = useForm();
  const problem = problems?.[name];
  return (
    <label className="block">
      <span className="block font-semibold mb-1">{label}</span>
      <textarea
        rows={rows}
        aria-invalid={problem ? true : undefined}
        className={`w-full px-3 py-2 bg-panel border-2 text-lg figure ${problem ? "border-outside" : "border-ink"}`}
        value={fields.texts[name] ?? ""}
        onChange={(event) => fields.set(name, event.target.value)}
      />
      {problem && (
        <span className="block text-outside font-semibold">
          <Refused refusal={problem} />
        </span>
      )}
      <span className="block text-mid">{hint}</span>
    </label>
  );
}
