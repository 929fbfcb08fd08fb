/** Pairs of one pitch in a row, as pitch circles to one scale; gears on one shaft stand on one middle. */
export function TrainRow({ pairs }: { pairs: readonly (readonly [number, number])[] }) {
  let x = 0;
  const shafts = [0];
  const circles: { x: number; teeth: number }[] = [];
  for (const [driver, driven] of pairs) {
    circles.push({ x, teeth: driver });
    x += (driver + driven) / 2;
    shafts.push(x);
    circles.push({ x, teeth: driven });
  }
  const left = Math.min(...circles.map(({ x, teeth }) => x - teeth / 2));
  const right = Math.max(...circles.map(({ x, teeth }) => x + teeth / 2));
  const high = Math.max(...circles.map(({ teeth }) => teeth));
  const pad = 0.04 * (right - left);
  return (
    <svg
      viewBox={`${left - pad} ${-high / 2 - pad} ${right - left + 2 * pad} ${high + 2 * pad}`}
      className="w-full max-h-72 bg-panel"
      role="img"
      aria-label={`Gears in a row: ${pairs.map(([a, b]) => `${a} to ${b}`).join(", ")}`}
    >
      {circles.map(({ x, teeth }, i) => (
        <circle
          key={i}
          cx={x}
          cy={0}
          r={teeth / 2}
          className="fill-none stroke-ink"
          strokeWidth="1.5"
          strokeDasharray="6 3 1.5 3"
          vectorEffect="non-scaling-stroke"
        />
      ))}
      {shafts.map((at) => (
        <circle key={at} cx={at} cy={0} r={Math.max(1, high / 60)} className="fill-ink" />
      ))}
    </svg>
  );
}
