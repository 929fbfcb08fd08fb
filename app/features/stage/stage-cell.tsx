import { Link } from "react-router";
import { SmallBandGauge } from "~/ui/band-gauge/band-gauge";
import { StateMark } from "~/ui/state-mark";
import type { StageGlance } from "./stage-glance";

/** A stage at a glance: name, teeth, band gauge, state in a word, what was read. */
export function StageCell({ id, name, size, state, read, limits, now, label }: StageGlance) {
  return (
    <div>
      <p className="font-semibold">
        <Link to={`/stages/${id}`} className="text-ink min-h-11 inline-flex items-center gap-1.5">
          {name} <span className="figure">{size}</span>
        </Link>
      </p>
      <SmallBandGauge lo={limits.lo} hi={limits.hi} now={now} state={state} label={label} />
      <p className="flex flex-wrap gap-x-3 items-baseline">
        <StateMark state={state} />
        <span className="figure text-mid">{read}</span>
      </p>
    </div>
  );
}
