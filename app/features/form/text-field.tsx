import type { ComponentProps, ReactNode } from "react";
import { type FieldError, useController } from "react-hook-form";
import { Field, Select } from "~/ui/field";
import { UsualWords } from "~/ui/usual-words";
import { useOpenFold } from "./use-open-fold";

type Named = { name: string; label: ReactNode };

/** A field of the form by its name; its problem stands under it, and the words that mostly stand in it where there are any. */
export function TextField({
  name,
  usual,
  className,
  ...rest
}: Named & { hint?: ReactNode; usual?: readonly string[] } & ComponentProps<"input">) {
  const { field, fieldState } = useController({ name, defaultValue: "" });
  const error = neededWords(fieldState.error, rest.label);
  const ref = useOpenFold(field.ref, error);
  const input = (name: string | undefined) => (
    <Field autoComplete="off" className={name} {...rest} {...field} ref={ref} error={error} />
  );
  if (!usual) return input(className);
  return (
    <div className={className}>
      {input(undefined)}
      <UsualWords label="Usual words" words={usual} value={field.value} onPick={field.onChange} />
    </div>
  );
}

/** An empty field that must not be says what it wants: "Needed: number of clamps". */
const neededWords = (error: FieldError | undefined, label: ReactNode): string | undefined =>
  (error?.type === "empty" || error?.type === "missing") && typeof label === "string"
    ? `Needed: ${/^[A-Z][a-z ]/.test(label) ? label.charAt(0).toLowerCase() + label.slice(1) : label}`
    : error?.message;

/** One of a list. */
export function SelectField({ name, usual = "", ...rest }: Named & { usual?: string } & ComponentProps<"select">) {
  const { field, fieldState } = useController({ name, defaultValue: "" });
  return <Select {...rest} {...field} value={field.value || usual} error={neededWords(fieldState.error, rest.label)} />;
}
