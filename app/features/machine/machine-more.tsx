import { Ellipsis } from "lucide-react";
import { useState } from "react";
import { Button } from "~/ui/button";
import { later, useLater } from "~/ui/use-later";
import type { MoreOf } from "./machine-more-box";

const box = later(async () => (await import("./machine-more-box")).MachineMoreBox);

/** Behind one quiet key: what is seldom wanted of a machine. */
export function MachineMore(of: MoreOf) {
  const [open, setOpen] = useState(false);
  const Box = useLater(box, open, () => setOpen(false));
  return (
    <>
      <Button kind="quiet" large onClick={() => setOpen(true)} aria-label={`More of ${of.name}: label, record, edit`}>
        <Ellipsis aria-hidden="true" size={22} />
      </Button>
      {Box && <Box {...of} open={open} setOpen={setOpen} />}
    </>
  );
}
