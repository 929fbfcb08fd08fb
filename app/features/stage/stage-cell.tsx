import { formatNumber } from "~/core/quantity";
import type { StageStanding } from "~/data/queries/machines";
import type { Stage } from "~/data/queries/stages";
import { SmallBandGauge } from "~/ui/band-gauge/band-gauge";
import { StateMark, stateWord } from "~/ui/state-mark";
import { rangeWords } from "../words/entry";
import type { StageState } from "./stage-state";

/** A stage at a glance: name, teeth, band gauge, state in a word, what was read. */
export function StageCell({
  stage,
  standing,
  state,
}: {
  stage: Stage;
  standing: StageStanding | null;
  state: StageState;
}) {
  const { loMm, hiMm } = stage.limits;
  const [z1, z2] = stage.geometry.pair.teeth;
  const result = standing?.result ?? null;
  const read = result ? `${rangeWords(result.minMm, result.maxMm)} mm` : "never read";
  return (
    <div>
      <p className="font-semibold">
        {stage.name}{" "}
        <span className="figure">
          {z1} : {z2}
        </span>
      </p>
      <SmallBandGauge
        lo={loMm}
        hi={hiMm}
        now={result ? { min: result.minMm, max: result.maxMm } : null}
        state={state}
        label={`${stage.name}: ${read}, limits ${formatNumber(loMm, 2)} to ${formatNumber(hiMm, 2)}, ${stateWord[state]}`}
      />
      <p className="flex gap-3 items-baseline">
        <StateMark state={state} />
        <span className="figure text-mid">{read}</span>
      </p>
    </div>
  );
}
