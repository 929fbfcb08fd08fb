import { useState } from "react";
import { Button } from "~/ui/button";
import { later, useLater } from "~/ui/use-later";
import type { GivenWork, Someone } from "./given-work";

const box = later(async () => (await import("./give-box")).GiveBox);

/** A key behind which work is given to somebody, with what they have to know. */
export function GiveTo({
  of,
  label,
  to,
  people,
}: {
  of: GivenWork;
  /** What it is, for who cannot see the line it stands in. */
  label: string;
  to: Someone | null;
  people: readonly Someone[];
}) {
  const [open, setOpen] = useState(false);
  const Box = useLater(box, open, () => setOpen(false));
  return (
    <span>
      <Button kind="quiet" onClick={() => setOpen(true)} aria-label={`${to ? "Give on" : "Give to"}: ${label}`}>
        {to ? "Give on" : "Give to …"}
      </Button>
      {Box && <Box of={of} label={label} to={to} people={people} open={open} setOpen={setOpen} />}
    </span>
  );
}
