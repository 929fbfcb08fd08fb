import type { ComponentProps, ReactNode } from "react";
import { useController } from "react-hook-form";
import { Choice } from "~/ui/choice";
import { Field, Select } from "~/ui/field";
import { Tick } from "~/ui/tick";
import { useOpenFold } from "./use-open-fold";

type Named = { name: string; label: ReactNode };

/** A field of the form by its name; its problem stands under it. */
export function TextField({ name, ...rest }: Named & { hint?: ReactNode } & ComponentProps<"input">) {
  const { field, fieldState } = useController({ name, defaultValue: "" });
  const error = fieldState.error?.message;
  return <Field autoComplete="off" {...rest} {...field} ref={useOpenFold(field.ref, error)} error={error} />;
}

/** One of a list. */
export function SelectField({ name, usual = "", ...rest }: Named & { usual?: string } & ComponentProps<"select">) {
  const { field, fieldState } = useController({ name, defaultValue: "" });
  return <Select {...rest} {...field} value={field.value || usual} error={fieldState.error?.message} />;
}

export function TickField({ name, label, value = "yes" }: Named & { value?: string }) {
  const { field } = useController({ name, defaultValue: "" });
  return (
    <Tick label={label} checked={field.value === value} onChange={(checked) => field.onChange(checked ? value : "")} />
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
  const { field, fieldState } = useController({ name, defaultValue: "" });
  return (
    <div>
      <Choice legend={legend} name={name} value={field.value || usual} onChange={field.onChange} options={options} />
      {fieldState.error && (
        <p role="alert" className="text-outside font-semibold mt-1">
          {fieldState.error.message}
        </p>
      )}
    </div>
  );
}
