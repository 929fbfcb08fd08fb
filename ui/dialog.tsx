import type { DialogProps } from "./dialog-box";
import { later, useLater } from "./use-later";

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
