import { type RefObject, useEffect, useRef } from "react";

/** The text field that last had the cursor: there a simulated instrument types. */
export function useLastField(): RefObject<HTMLInputElement | null> {
  const field = useRef<HTMLInputElement | null>(null);
  useEffect(() => {
    const remember = ({ target }: FocusEvent) => {
      if (target instanceof HTMLInputElement && /^(text|search|tel|)$/.test(target.type)) field.current = target;
    };
    document.addEventListener("focusin", remember);
    if (document.activeElement instanceof HTMLInputElement) field.current = document.activeElement;
    return () => document.removeEventListener("focusin", remember);
  }, []);
  return field;
}
