import type { ReactNode } from "react";
import { useController } from "react-hook-form";
import { Tick } from "~/ui/tick";

/** Ticked or not: what it says where it is, and nothing where it is not. */
export function TickField({ name, label, value = "yes" }: { name: string; label: ReactNode; value?: string }) {
  const { field } = useController({ name, defaultValue: "" });
  return (
    <Tick label={label} checked={field.value === value} onChange={(checked) => field.onChange(checked ? value : "")} />
  );
}
