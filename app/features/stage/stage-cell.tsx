import { Link } from "react-router";
import { SmallBandGauge } from "~/ui/band-gauge/band-gauge";
import { StateMark } from "~/ui/state-mark";
import { noLimits } from "../words/limit-words";
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
      <SmallBandGauge limits={limits} now={now} state={state} label={label} />
      <p className="flex flex-wrap gap-x-3 items-baseline">
        <StateMark state={state} word={limits || state !== "unknown" ? undefined : noLimits} />
        <span className="figure text-mid">{read}</span>
      </p>
    </div>
  );
}
