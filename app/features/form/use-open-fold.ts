import { useCallback, useEffect, useRef } from "react";

/** A field whose problem would stand unseen in something folded up opens it, so that it can be looked at and take the focus. */
export function useOpenFold(
  ref: (input: HTMLInputElement | null) => void,
  error: string | undefined,
): (input: HTMLInputElement | null) => void {
  const input = useRef<HTMLInputElement>(null);
  useEffect(() => {
    const fold = error === undefined ? null : input.current?.closest("details:not([open])");
    if (!fold) return;
    fold.setAttribute("open", "");
    input.current?.focus();
  }, [error]);
  return useCallback(
    (element) => {
      input.current = element;
      ref(element);
    },
    [ref],
  );
}
