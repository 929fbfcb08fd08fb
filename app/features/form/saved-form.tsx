import type { ReactNode } from "react";
import { FormProvider } from "react-hook-form";
import type { SavedForm as Of } from "./use-saved-form";

/** The fields of a form that is saved as a whole. */
export const SavedForm = <T extends object>({
  of: { form, save },
  label,
  className = "grid gap-5",
  children,
}: {
  of: Of<T>;
  label?: string;
  className?: string;
  children: ReactNode;
}) => (
  <FormProvider {...form}>
    <form onSubmit={save} className={className} noValidate aria-label={label}>
      {children}
    </form>
  </FormProvider>
);
