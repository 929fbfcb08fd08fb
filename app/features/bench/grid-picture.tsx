export type GridGear = { teeth: number; holes: readonly [number, number] };

/** Gears on their holes, to scale: pitch circles, tips, shafts, and the line of centres from one to the next. */
export function GridPicture({
  gears,
  pitchMm,
  moduleMm,
}: {
  gears: readonly GridGear[];
  pitchMm: number;
  moduleMm: number;
}) {
  const placed = gears.map(({ teeth, holes: [a, b] }) => ({
    teeth,
    x: a * pitchMm,
    y: -b * pitchMm,
    r: (teeth * moduleMm) / 2,
  }));
  const room = moduleMm + pitchMm / 2;
  const left = Math.min(...placed.map(({ x, r }) => x - r)) - room;
  const right = Math.max(...placed.map(({ x, r }) => x + r)) + room;
  const top = Math.min(...placed.map(({ y, r }) => y - r)) - room;
  const bottom = Math.max(...placed.map(({ y, r }) => y + r)) + room;
  const holes: [number, number][] = [];
  for (let x = Math.ceil(left / pitchMm); x * pitchMm <= right; x++)
    for (let y = Math.ceil(top / pitchMm); y * pitchMm <= bottom; y++) holes.push([x * pitchMm, y * pitchMm]);
  const said = gears.map(({ teeth, holes: [a, b] }) => `${teeth} teeth at ${a}, ${b}`).join("; ");
  return (
    <svg
      viewBox={`${left} ${top} ${right - left} ${bottom - top}`}
      className="w-full max-h-80 bg-panel"
      role="img"
      aria-label={`On holes along and across: ${said}`}
    >
      {holes.map(([x, y]) => (
        <circle
          key={`${x} ${y}`}
          cx={x}
          cy={y}
          r={0.12 * pitchMm}
          className="fill-ground stroke-mid"
          strokeWidth="1"
          vectorEffect="non-scaling-stroke"
        />
      ))}
      {placed.map(({ x, y, r }, i) => (
        <g key={i}>
          <circle
            cx={x}
            cy={y}
            r={r}
            className="fill-none stroke-ink"
            strokeWidth="1.5"
            strokeDasharray="6 3 1.5 3"
            vectorEffect="non-scaling-stroke"
          />
          <circle
            cx={x}
            cy={y}
            r={r + moduleMm}
            className="fill-none stroke-ink"
            strokeWidth="1"
            vectorEffect="non-scaling-stroke"
          />
          <circle cx={x} cy={y} r={0.2 * pitchMm} className="fill-ink" />
        </g>
      ))}
      <path
        d={`M${placed.map(({ x, y }) => `${x} ${y}`).join("L")}`}
        className="fill-none stroke-mid"
        strokeDasharray="10 3 2 3"
        strokeWidth="1"
        vectorEffect="non-scaling-stroke"
      />
    </svg>
  );
}
