import { type ComponentType, type ReactNode, useEffect, useState } from "react";

export type DialogProps = {
  title: string;
  open: boolean;
  onOpenChange: (open: boolean) => void;
  children: ReactNode;
};

type Box = ComponentType<DialogProps>;
let kept: Box | null = null;

const load = async (): Promise<Box> => {
  kept = (await import("./dialog-box")).DialogBox;
  return kept;
};

const whenIdle = (work: () => void): (() => void) => {
  // Not every browser has it.
  if (typeof requestIdleCallback === "undefined") {
    const timer = setTimeout(work, 2000);
    return () => clearTimeout(timer);
  }
  const handle = requestIdleCallback(work);
  return () => cancelIdleCallback(handle);
};

/**
 * A question that must be answered before going on; Escape and the cross leave things as they were. Its box comes once the page stands, or when it is
 * opened before that; without a network neither, and then it stays shut.
 */
export function Dialog(props: DialogProps) {
  const { open, onOpenChange } = props;
  const [box, setBox] = useState(() => kept);
  useEffect(() => {
    if (box) return;
    const take = () =>
      load().then(
        (loaded) => setBox(() => loaded),
        () => open && onOpenChange(false),
      );
    if (open) take();
    else return whenIdle(take);
  }, [box, open, onOpenChange]);
  const Box = box;
  return Box && <Box {...props} />;
}
