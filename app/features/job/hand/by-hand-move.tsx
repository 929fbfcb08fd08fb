import { useState } from "react";
import type { Refusal } from "~/core/quantity";
import { Button } from "~/ui/button";
import { Otherwise } from "../advise/otherwise";
import { useJobScreen } from "../entries/job-context";

/** A move as it was really made, by its own amount. */
export function ByHandMove({ label }: { label: string }) {
  const { stage, job } = useJobScreen();
  const [open, setOpen] = useState(false);
  if (!stage.adjuster.adjuster) return null;
  const move = (amount: number, note: string): Refusal | null => {
    if (amount === 0) return { code: "no-amount", path: ["amount"], facts: {} };
    void job.put({
      kind: "move",
      amount,
      did: "otherwise",
      advised: null,
      reasons: [],
      note,
      adjusterId: stage.adjuster.id,
    });
    for (const name of ["move.amount", "move.note"]) job.changeText(name, "");
    return null;
  };
  return open ? (
    <Otherwise stage={stage} onOtherwise={move} onDone={() => setOpen(false)} />
  ) : (
    <div>
      <Button onClick={() => setOpen(true)}>{label}</Button>
    </div>
  );
}
