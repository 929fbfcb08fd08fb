import { useCallback, useMemo } from "react";
import { useFormContext, useWatch } from "react-hook-form";
import { flatTexts, type Texts } from "./texts";

/** What stands in the fields of the form round this component. */
export function useFormTexts(): Texts {
  const values = useWatch();
  return useMemo(() => flatTexts(values), [values]);
}

/** Writes into fields of the form round this component. */
export function useWriteTexts(): (texts: Texts) => void {
  const { setValue } = useFormContext();
  return useCallback(
    (texts) => {
      for (const [name, text] of Object.entries(texts)) setValue(name, text, { shouldDirty: true });
    },
    [setValue],
  );
}
