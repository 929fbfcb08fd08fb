import { useController } from "react-hook-form";
import { DateField } from "~/ui/date-field";

/** A day in a form by its name. */
export function DayField({ name, label }: { name: string; label: string }) {
  const { field, fieldState } = useController({ name, defaultValue: "" });
  return <DateField label={label} value={field.value} onChange={field.onChange} error={fieldState.error?.message} />;
}
