import { useRef } from "react";

/** For a box that no trigger of its own opens: what had the focus before has it again when it shuts. */
export function useFocusBack() {
  const before = useRef<Element | null>(null);
  return {
    onOpenAutoFocus: () => {
      before.current = document.activeElement;
    },
    onCloseAutoFocus: (event: Event) => {
      event.preventDefault();
      if (before.current instanceof HTMLElement) before.current.focus();
    },
  };
}
