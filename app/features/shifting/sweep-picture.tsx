import { type ForceSweep, lineThrough, type SweepPoint } from "~/core/shifting";
import { PointsPlot } from "~/ui/points-plot";

/** Current over force, with the fitted line and the slopes between which it may lie. */
export function SweepPicture({
  points,
  sweep,
  unit,
  figure,
}: {
  points: readonly SweepPoint[];
  sweep: ForceSweep;
  unit: string;
  figure: (value: number, decimals: number) => string;
}) {
  const line = lineThrough(points);
  if (!line) return null;
  const forces = points.map(({ force }) => force);
  const [least, most] = [Math.min(...forces), Math.max(...forces)];
  const middle = forces.reduce((sum, force) => sum + force, 0) / forces.length;
  const at = (slope: number) =>
    [least, most].map((force) => ({ x: force, y: line.at(middle) + slope * (force - middle) }));
  return (
    <PointsPlot
      points={points.map(({ force, currentA }) => ({ x: force, y: currentA }))}
      lines={[
        { kind: "fit", points: at(sweep.slope) },
        ...sweep.slopeInterval.map((slope) => ({ kind: "bound" as const, points: at(slope) })),
      ]}
      from={0}
      label="Current over force, with the fitted line"
      axes={`A over ${unit}`}
      figure={figure}
    />
  );
}
