import type { ComponentProps, ReactNode } from "react";
import { useController } from "react-hook-form";
import { Field, Select } from "~/ui/field";
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
