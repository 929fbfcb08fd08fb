import { judgePins } from "~/core/logbook";
import { PinsInGap } from "../../print/pins-in-gap";
import { useJobScreen } from "../entries/job-context";
import { useTexts } from "../entries/use-draft";
import { pinsTyped } from "./pins-texts";

/** The gap with what goes into it and what does not, as it is typed, or as it was last logged. */
export function PinsPicture() {
  const { stage, job } = useJobScreen();
  const typed = pinsTyped(useTexts());
  const tried = typed.goesMm === null && typed.stopsMm === null ? (job.record.lastFeel?.body.pins ?? typed) : typed;
  const found = judgePins(tried, stage.geometry.element, stage.limits);
  if (!found.ok)
    return (
      <p className="text-lg text-mid p-6 max-w-md">The gap is drawn here once a size goes into it, or does not.</p>
    );
  const { lowMm, valueMm } = found.value.gap;
  return <PinsInGap goesMm={tried.goesMm} stopsMm={tried.stopsMm} gapMm={valueMm ?? lowMm} />;
}
