import { type FormEventHandler, useEffect, useRef } from "react";
import { useFetcher, useNavigate } from "react-router";
import { useWords } from "~/app/features/words/use-words";
import type { Refusal } from "~/core/quantity";
import { usePersonId } from "../people/use-preferences";
import { type FormReading, fieldOfPath, wholeForm } from "./resolver";
import { flatTexts, nestedTexts, type Texts } from "./texts";
import { type TextForm, useTextForm } from "./use-text-form";

export type SavedForm<T extends object> = { form: TextForm<T>; busy: boolean; save: FormEventHandler };

/**
 * A form whose texts stay on the tablet until its action has taken them. An action answers with where it goes on to, and then they are
 * forgotten first, or with a refusal, and they stay.
 */
export function useSavedForm<T extends object>({
  key,
  initial,
  send = (value) => value,
  ...reading
}: FormReading<T> & {
  key: string;
  initial: Texts;
  /** What the action takes, of what was read. */
  send?: (value: T) => object;
}): SavedForm<T> {
  const reader = useWords();
  const name = `harmostat texts ${usePersonId()} ${key}`;
  const form = useTextForm(initial, reading);
  const { reset, subscribe, setError } = form;
  const kept = useRef(true);
  const begun = useRef(initial);
  useEffect(() => {
    const before = read(name);
    if (before) reset(nestedTexts({ ...begun.current, ...before }), { keepDefaultValues: true });
    return subscribe({
      formState: { values: true },
      callback: ({ values }) => {
        if (kept.current) keep(name, flatTexts(values));
      },
    });
  }, [name, reset, subscribe]);

  const fetcher = useFetcher<{ refusal?: Refusal; onward?: string }>();
  const navigate = useNavigate();
  const { refusal, onward } = fetcher.data ?? {};
  useEffect(() => {
    // A page whose data is still being renewed after what was sent would take the place of the one gone to.
    if (onward === undefined || fetcher.state !== "idle") return;
    kept.current = false;
    forget(name);
    navigate(onward);
  }, [onward, fetcher.state, name, navigate]);
  const fieldOf = useRef(reading.fieldOf ?? fieldOfPath);
  useEffect(() => {
    if (!refusal) return;
    import("../words/refusal").then(({ refusalWords }) => {
      const field = fieldOf.current(refusal.path);
      const known = field in flatTexts(form.getValues());
      setError(
        known ? field : wholeForm,
        { type: refusal.code, message: refusalWords(reader, refusal) },
        { shouldFocus: known },
      );
    });
  }, [refusal, setError, form, reader]);
  return {
    form,
    busy: fetcher.state !== "idle" || onward !== undefined,
    // By way of JSON, which leaves out what is undefined.
    save: form.handleSubmit((value) =>
      fetcher.submit(JSON.parse(JSON.stringify(send(value))), { method: "post", encType: "application/json" }),
    ),
  };
}

function read(name: string): Texts | null {
  try {
    return flatTexts(JSON.parse(localStorage.getItem(name) ?? "null") ?? {});
  } catch {
    // Nothing kept, or nothing to be kept in.
    return null;
  }
}

function keep(name: string, texts: Texts): void {
  try {
    localStorage.setItem(name, JSON.stringify(texts));
  } catch {
    // A full or forbidden storage: the form itself still has it.
  }
}

function forget(name: string): void {
  try {
    localStorage.removeItem(name);
  } catch {
    // There was nothing to forget.
  }
}
