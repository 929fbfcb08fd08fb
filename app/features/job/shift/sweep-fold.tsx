import type { Stage } from "~/core/records";
import { gearsWithStops, slideOf } from "~/core/stages";
import { Fold } from "~/ui/fold";
import { later } from "~/ui/use-later";
import { WhenHere } from "~/ui/when-here";

const pane = later(async () => (await import("./sweep-pane")).SweepPane);

/** Whether a stage is held against a stop by an actuator. */
const isHeld = ({ geometry: { element }, adjuster }: Stage): boolean =>
  gearsWithStops(element).length > 0 || slideOf(element) !== null || adjuster.means === "stop";

/** Whether a hard stop carries its actuator's force, in a line that opens; nothing on a stage without a stop. */
export function SweepFold({ stage }: { stage: Stage }) {
  if (!isHeld(stage)) return null;
  return (
    <Fold
      className="border-t border-rule mt-4 pt-1"
      summary="Raise the actuator's force in steps: does the stop carry it?"
    >
      <WhenHere part={pane} props={{ stage }} />
    </Fold>
  );
}
