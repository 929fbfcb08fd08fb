import { AlertDialog } from "radix-ui";
import type { ReactNode } from "react";
import { buttonClass } from "./button";
import { useFocusBack } from "./use-focus-back";

export type AskProps = {
  title: string;
  /** What it does, and what stays. */
  children: ReactNode;
  word: string;
  onSo: () => void;
  onOpenChange: (open: boolean) => void;
};

/** Asks before something that cannot be taken back. The focus is on leaving things as they are; a press beside it answers nothing. */
export function AskBox({ title, children, word, onSo, onOpenChange }: AskProps) {
  const focusBack = useFocusBack();
  return (
    <AlertDialog.Root open onOpenChange={onOpenChange}>
      <AlertDialog.Portal>
        <AlertDialog.Overlay className="fixed inset-0 bg-tape/70 z-20" />
        <AlertDialog.Content
          {...focusBack}
          className="fixed z-30 inset-x-0 top-0 mx-auto mt-[6vh] max-h-[88vh] w-[min(36rem,94vw)] overflow-y-auto bg-panel text-ink border-2 border-outside p-6"
        >
          <AlertDialog.Title className="text-2xl font-bold mb-3">{title}</AlertDialog.Title>
          <AlertDialog.Description className="text-lg mb-6">{children}</AlertDialog.Description>
          <div className="flex flex-wrap gap-4">
            <AlertDialog.Cancel className={buttonClass("solid", true)}>Leave it as it is</AlertDialog.Cancel>
            <AlertDialog.Action className={buttonClass("line", true)} onClick={onSo}>
              {word}
            </AlertDialog.Action>
          </div>
        </AlertDialog.Content>
      </AlertDialog.Portal>
    </AlertDialog.Root>
  );
}
