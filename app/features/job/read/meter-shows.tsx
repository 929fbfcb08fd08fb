import { useWords } from "~/app/features/words/use-words";
import type { Stage } from "~/core/records";
import { measuredUnit, meterShows } from "~/core/stages";
import { judgedIn, stageUnit } from "../../words/quantity";
import { spoken } from "../../words/spoken";
import type { Method } from "./method";

/** What the instrument shows at the limits, where it is not the figures of the limits themselves: "150 to 260 N = 31 to 41 Hz here". */
export function MeterShows({ stage, method }: { stage: Stage; method: Method }) {
  const reader = useWords();
  const { element } = stage.geometry;
  const { quantity, indicatorRadiusMm, indicatorAngleDeg, held } = method;
  const { limits: known } = stage;
  const found = known && meterShows(element, { quantity, indicatorRadiusMm, indicatorAngleDeg, held }, known);
  if (!known || !found?.ok) return null;
  const { unit, digits } = measuredUnit[quantity];
  const meter = spoken(reader, unit, digits);
  const { lo, hi } = found.value;
  const shows = `${meter.range(lo, hi)} ${meter.unit}`;
  const judged = stageUnit(reader, element);
  const limits = `${judgedIn(reader, judged.quantity).range(known.lo, known.hi)} ${judged.unit}`;
  if (shows === limits) return null;
  return (
    <p className="text-lg">
      <span className="figure">{limits}</span> = <b className="figure">{shows}</b> here.
    </p>
  );
}
