import { type ReactNode, useRef, useState } from "react";
import { later, useLater } from "~/ui/use-later";
import type { TermName } from "./terms";

const box = later(async () => (await import("./term-box")).TermBox);

/** A word of the trade where it stands; pressed, it says in a sentence what it means. */
export function Term({ name, children }: { name: TermName; children: ReactNode }) {
  const word = useRef<HTMLButtonElement>(null);
  const [open, setOpen] = useState(false);
  const [wanted, setWanted] = useState(false);
  const Box = useLater(box, wanted, () => setWanted(false), false);
  return (
    <>
      <button
        ref={word}
        type="button"
        aria-expanded={open}
        onPointerEnter={() => setWanted(true)}
        onFocus={() => setWanted(true)}
        onClick={() => {
          setWanted(true);
          setOpen(!open);
        }}
        className="cursor-help underline decoration-dotted underline-offset-4"
      >
        {children}
      </button>
      {Box && open && <Box name={name} word={word} onClose={() => setOpen(false)} />}
    </>
  );
}
