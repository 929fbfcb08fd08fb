import { useEffect, useState } from "react";
import { Button } from "~/ui/button";
import { later, useLater } from "~/ui/use-later";

const box = later(async () => (await import("./help-box")).HelpBox);

/** "?" at hand on every screen, as a key to press and, once a screen, as a key to type. */
export function Help({ typed = true }: { typed?: boolean }) {
  const [open, setOpen] = useState(false);
  const Box = useLater(box, open, () => setOpen(false));
  useEffect(() => {
    if (!typed) return;
    const onKey = (event: KeyboardEvent) => {
      const typing = event.target instanceof HTMLElement && event.target.closest("input, textarea, select") !== null;
      if (event.key !== "?" || typing || event.ctrlKey || event.metaKey) return;
      event.preventDefault();
      setOpen(true);
    };
    document.addEventListener("keydown", onKey);
    return () => document.removeEventListener("keydown", onKey);
  }, [typed]);
  return (
    <>
      <Button kind="quiet" className="px-4" onClick={() => setOpen(true)} aria-label="What is this screen for? Keys">
        ?
      </Button>
      {Box && <Box open={open} setOpen={setOpen} />}
    </>
  );
}
