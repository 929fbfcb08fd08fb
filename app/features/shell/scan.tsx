import { ScanLine } from "lucide-react";
import { useState } from "react";
import { Button } from "~/ui/button";
import { later, useLater } from "~/ui/use-later";

const box = later(async () => (await import("./scan-box")).ScanBox);

/** Scans a machine's label by the tablet's camera. */
export function Scan() {
  const [open, setOpen] = useState(false);
  const Box = useLater(box, open, () => setOpen(false), false);
  return (
    <>
      <Button className="px-3 min-h-12" onClick={() => setOpen(true)} aria-label="Scan a label with the camera">
        <ScanLine aria-hidden="true" size={22} />
      </Button>
      {Box && <Box open={open} setOpen={setOpen} />}
    </>
  );
}
