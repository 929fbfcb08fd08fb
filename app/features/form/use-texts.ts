import { useCallback, useEffect, useState } from "react";
import { usePersonId } from "../people/use-preferences";
import type { Texts } from "./text-reader";

export type Fields = {
  texts: Texts;
  set: (name: string, value: string) => void;
  setAll: (texts: Texts) => void;
  forget: () => void;
};

/** The texts of a form, kept in the browser until they are saved: a reload or a crash loses nothing typed. */
export function useTexts(key: string, initial: Texts): Fields {
  const name = `harmostat form ${usePersonId()} ${key}`;
  const [texts, setTexts] = useState<Texts>(initial);
  useEffect(() => {
    try {
      const kept = localStorage.getItem(name);
      if (kept) setTexts((was) => ({ ...was, ...(JSON.parse(kept) as Texts) }));
    } catch {
      // Nothing kept, or nothing to be kept in.
    }
  }, [name]);
  const setAll = useCallback(
    (more: Texts) =>
      setTexts((was) => {
        const next = { ...was, ...more };
        try {
          localStorage.setItem(name, JSON.stringify(next));
        } catch {
          // A full or forbidden storage: the form itself still has it.
        }
        return next;
      }),
    [name],
  );
  return {
    texts,
    setAll,
    set: useCallback((field, value) => setAll({ [field]: value }), [setAll]),
    forget: useCallback(() => localStorage.removeItem(name), [name]),
  };
}
