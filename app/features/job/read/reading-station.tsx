import { hasClick, type RoundPhase } from "~/core/logbook";
import { later } from "~/ui/use-later";
import { WhenHere } from "~/ui/when-here";
import { useJobScreen } from "../entries/job-context";
import { useTyped } from "../entries/use-draft";
import { NoInstrument } from "./no-instrument";
import { NumberStation } from "./number-station";

const feelStation = later(async () => (await import("./feel-station")).FeelStation);

/** Where a stage is read: by number, or by feel where it was chosen and the kind can be felt. */
export function ReadingStation({ phase }: { phase: RoundPhase }) {
  const { data, stage } = useJobScreen();
  const way = useTyped(({ texts }) => texts[`way.${phase}`]);
  if (data.instruments.length === 0) return <NoInstrument />;
  return way === "feel" && hasClick(stage.geometry.element) ? (
    <WhenHere part={feelStation} props={{ phase }} />
  ) : (
    <NumberStation phase={phase} />
  );
}
