import { Dialog as Radix } from "radix-ui";
import type { ReactNode } from "react";

/** A question that must be answered before going on; Escape and the cross leave things as they were. */
export function Dialog({
  title,
  open,
  onOpenChange,
  children,
}: {
  title: string;
  open: boolean;
  onOpenChange: (open: boolean) => void;
  children: ReactNode;
}) {
  return (
    <Radix.Root open={open} onOpenChange={onOpenChange}>
      <Radix.Portal>
        <Radix.Overlay className="fixed inset-0 bg-tape/70 z-20" />
        <Radix.Content
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
