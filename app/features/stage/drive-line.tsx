import { Link } from "react-router";
import { formatNumber } from "~/core/quantity";
import type { Stage } from "~/data/queries/stages";
import type { StageStanding } from "~/data/queries/standings";
import { commonScale, PairDrawing, pairSize } from "./pair-drawing";
import { StageCell } from "./stage-cell";

const widthPx = 720;
const heightPx = 230;

/** The stages from motor to output, to one scale, each with its state. */
export function DriveLine({ stages }: { stages: readonly { stage: Stage; standing: StageStanding | null }[] }) {
  const sizes = stages.flatMap(({ stage }) => pairSize(stage.geometry.pair) ?? []);
  const scale = commonScale(sizes, widthPx - 40 * stages.length, heightPx);
  return (
    <ol className="flex flex-wrap gap-x-10 gap-y-5 items-end" aria-label="Drive line, to scale">
      {stages.map(({ stage, standing }) => {
        const { pair } = stage.geometry;
        const centres = formatNumber(pair.centreDistanceMm ?? 0, 2);
        return (
          <li key={stage.id}>
            <Link to={`/stages/${stage.id}`} className="block">
              <PairDrawing
                pair={pair}
                scale={scale}
                label={`${stage.name} to scale: ${pair.teeth[0]} and ${pair.teeth[1]} teeth, module ${pair.moduleMm}, centres ${centres} mm`}
              />
            </Link>
            <p className="figure text-mid">
              m {formatNumber(pair.moduleMm, 3).replace(/\.?0+$/, "")}, centres {centres} mm
            </p>
            <StageCell stage={stage} standing={standing} />
          </li>
        );
      })}
    </ol>
  );
}
