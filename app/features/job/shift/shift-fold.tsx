import type { Stage } from "~/core/records";
import { slideOf } from "~/core/stages";
import { Fold } from "~/ui/fold";
import { later } from "~/ui/use-later";
import { WhenHere } from "~/ui/when-here";
import { useJobScreen } from "../entries/job-context";

const pane = later(async () => (await import("./shift-pane")).ShiftPane);

/** The shift of a sliding gear, in a line that opens; nothing on a stage that does not slide. */
export function ShiftFold({ stage }: { stage: Stage }) {
  const { job } = useJobScreen();
  if (!slideOf(stage.geometry.element)) return null;
  return (
    <Fold
      look="plain"
      className="border-t border-rule pt-1 shrink-0"
      summary={
        <>
          <b>The shift:</b> {job.record.shift ? "stops, faces, going in" : "stops and going in, not looked at yet"}
        </>
      }
    >
      <WhenHere part={pane} props={{ stage }} />
    </Fold>
  );
}
