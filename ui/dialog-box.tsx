import { Dialog as Radix } from "radix-ui";
import type { ReactNode } from "react";
import { useFocusBack } from "./use-focus-back";

export type DialogProps = {
  title: string;
  open: boolean;
  onOpenChange: (open: boolean) => void;
  children: ReactNode;
};

/** The box of a dialog, which catches the focus and gives it back. */
export function DialogBox({ title, open, onOpenChange, children }: DialogProps) {
  const focusBack = useFocusBack();
  return (
    <Radix.Root open={open} onOpenChange={onOpenChange}>
      <Radix.Portal>
        <Radix.Overlay className="fixed inset-0 bg-tape/70 z-20" />
        <Radix.Content
          {...focusBack}
          aria-describedby={undefined}
          className="fixed z-30 inset-x-0 top-0 mx-auto mt-[6vh] max-h-[88vh] w-[min(40rem,94vw)] overflow-y-auto bg-panel text-ink border-2 border-ink p-6"
        >
          <Radix.Title className="text-2xl font-bold mb-3">{title}</Radix.Title>
          {children}
        </Radix.Content>
      </Radix.Portal>
    </Radix.Root>
  );
}
