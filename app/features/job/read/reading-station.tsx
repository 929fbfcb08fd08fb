import type { RoundPhase } from "~/core/logbook";
import { later } from "~/ui/use-later";
import { WhenHere } from "~/ui/when-here";
import { useJobScreen } from "../entries/job-context";
import { useTyped } from "../entries/use-draft";
import { HandWayKeys } from "../hand/hand-way-keys";
import { handWayAt, handWaysOf } from "../hand/hand-ways";
import { NoInstrument } from "./no-instrument";
import { NumberStation } from "./number-station";

const handStation = later(async () => (await import("../hand/hand-station")).HandStation);

/** Where a stage is read: by number, or by hand where that was chosen and the kind can be. */
export function ReadingStation({ phase }: { phase: RoundPhase }) {
  const { data, stage } = useJobScreen();
  const way = useTyped(({ texts }) => handWayAt(stage.geometry.element, phase, texts, data.readFirst));
  if (way) return <WhenHere part={handStation} props={{ phase, way }} />;
  return data.instruments.length === 0 ? (
    <NoInstrument>
      {handWaysOf(stage.geometry.element).length > 0 && (
        <div className="grid gap-2">
          <p>Without one it can be set by hand:</p>
          <div className="flex flex-wrap gap-2">
            <HandWayKeys phase={phase} />
          </div>
        </div>
      )}
    </NoInstrument>
  ) : (
    <NumberStation phase={phase} />
  );
}
