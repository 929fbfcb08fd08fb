import { useEffect } from "react";
import { type FieldValues, type UseFormReturn, useForm } from "react-hook-form";
import { useWords } from "~/app/features/words/use-words";
import { type FormReading, formResolver } from "./resolver";
import { nestedTexts, type Texts } from "./texts";

export type TextForm<T extends object> = UseFormReturn<FieldValues, unknown, T>;

/**
 * A form whose fields hold texts as people type them. What is wrong stands at its field once the form was asked for, or (`live`) while one
 * types; then all of it is read again with every key, for one field can make another wrong.
 */
export function useTextForm<T extends object>(initial: Texts, reading: FormReading<T>, live = false): TextForm<T> {
  const reader = useWords();
  const form = useForm<FieldValues, unknown, T>({
    defaultValues: nestedTexts(initial),
    resolver: formResolver(reader, reading),
  });
  const { subscribe, trigger, control } = form;
  useEffect(() => {
    if (live) trigger();
    return subscribe({
      formState: { values: true },
      callback: () => {
        if (live || control._formState.isSubmitted) trigger();
      },
    });
  }, [live, subscribe, trigger, control]);
  return form;
}
