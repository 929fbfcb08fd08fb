import { Popover } from "radix-ui";
import type { RefObject } from "react";
import { type TermName, terms } from "./terms";

/** What a word means, beside it, until one goes on. */
export function TermBox({
  name,
  word,
  onClose,
}: {
  name: TermName;
  word: RefObject<HTMLElement | null>;
  onClose: () => void;
}) {
  return (
    <Popover.Root open onOpenChange={onClose}>
      <Popover.Anchor virtualRef={word as RefObject<HTMLElement>} />
      <Popover.Portal>
        <Popover.Content
          sideOffset={6}
          collisionPadding={12}
          // The word itself shuts it again.
          onInteractOutside={(event) => word.current?.contains(event.target as Node) && event.preventDefault()}
          onCloseAutoFocus={(event) => {
            event.preventDefault();
            word.current?.focus();
          }}
          aria-label={`What ${name} means`}
          className="z-30 max-w-80 bg-panel text-ink border-2 border-ink p-3 text-base leading-snug"
        >
          {terms[name]}
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
