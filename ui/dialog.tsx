import type { ReactNode } from "react";
import { later, useLater } from "./use-later";

export type DialogProps = {
  title: string;
  open: boolean;
  onOpenChange: (open: boolean) => void;
  children: ReactNode;
};

const box = later(async () => (await import("./dialog-box")).DialogBox);

/**
 * A question that must be answered before going on; Escape and the cross leave things as they were. Opened without a network before its box came, it
 * shuts again.
 */
export function Dialog(props: DialogProps) {
  const { open, onOpenChange } = props;
  const Box = useLater(box, open, () => onOpenChange(false));
  return Box && <Box {...props} />;
}
