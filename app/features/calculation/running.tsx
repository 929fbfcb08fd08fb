import { Button } from "~/ui/button";
import { Progress } from "~/ui/progress";
import type { Calculation } from "./use-worker";

/** How far a calculation is, with a way to call it off; nothing for one that is done at once. */
export function Running({ of: { running, share, calledOff, callOff } }: { of: Calculation<unknown> }) {
  if (calledOff) return <p role="status">Called off. Change anything to ask again.</p>;
  if (!running) return null;
  return (
    <div className="flex gap-4 items-center" role="status">
      <Progress share={share} label="How far the calculation is" />
      <Button kind="quiet" onClick={callOff}>
        Call off
      </Button>
    </div>
  );
}
