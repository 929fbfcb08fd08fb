import type { ComponentProps, ReactNode } from "react";
import { type FieldError, useController } from "react-hook-form";
import { Field, Select } from "~/ui/field";
import { useOpenFold } from "./use-open-fold";

type Named = { name: string; label: ReactNode };

/** A field of the form by its name; its problem stands under it. */
export function TextField({ name, ...rest }: Named & { hint?: ReactNode } & ComponentProps<"input">) {
  const { field, fieldState } = useController({ name, defaultValue: "" });
  const error = neededWords(fieldState.error, rest.label);
  return <Field autoComplete="off" {...rest} {...field} ref={useOpenFold(field.ref, error)} error={error} />;
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
