/** Readings round a part seen from the front, the mark at the top, in the sense of turning: how far the rim stands out, many times enlarged. */
export function RunoutPicture({
  readings,
  shaft,
  highAtDeg,
  turnDeg,
  figure,
}: {
  readings: readonly number[];
  /** Beside the part; null: not read. */
  shaft: readonly number[] | null;
  highAtDeg: number;
  /** By how much to turn the part on the shaft; null: not known. */
  turnDeg: number | null;
  figure: (value: number) => string;
}) {
  const all = [...readings, ...(shaft ?? [])];
  const spread = Math.max(...all) - Math.min(...all) || 1;
  const mean = (of: readonly number[]) => of.reduce((sum, value) => sum + value, 0) / of.length;
  const at = (deg: number, radius: number): [number, number] => {
    const angle = ((deg - 90) * Math.PI) / 180;
    return [220 + radius * Math.cos(angle), 175 + radius * Math.sin(angle)];
  };
  const path = (of: readonly number[], radius: number) =>
    `${of
      .map(
        (value, i) =>
          `${i === 0 ? "M" : "L"}${at((360 * i) / of.length, radius + ((value - mean(of)) / spread) * 44)
            .map((n) => n.toFixed(1))
            .join(" ")}`,
      )
      .join("")}Z`;
  const [hx, hy] = at(highAtDeg, 118);
  return (
    <svg
      viewBox="0 0 440 350"
      className="w-full max-w-xl bg-panel"
      role="img"
      aria-label={`Readings round the turn from the mark at the top, enlarged; high at ${figure(highAtDeg)} degrees`}
    >
      <circle cx="220" cy="175" r="96" className="fill-none stroke-mid" strokeDasharray="4 4" />
      <path d={path(readings, 96)} className="fill-none stroke-ink" strokeWidth="3" strokeLinejoin="round" />
      {shaft && (
        <>
          <circle cx="220" cy="175" r="36" className="fill-none stroke-mid" strokeDasharray="4 4" />
          <path d={path(shaft, 36)} className="fill-none stroke-mid" strokeWidth="3" strokeLinejoin="round" />
        </>
      )}
      <path d="M220 36v20" className="stroke-ink" strokeWidth="6" />
      <path d={`M220 175L${hx} ${hy}`} className="stroke-ink" strokeWidth="1.5" />
      <circle cx={hx} cy={hy} r="6" className="fill-ink" />
      {readings.map((value, i) => {
        const [x, y] = at((360 * i) / readings.length, 150);
        return (
          <text key={i} x={x} y={y + 5} textAnchor="middle" fontSize="14" className="fill-mid figure">
            {readings.length <= 16 ? figure(value) : ""}
          </text>
        );
      })}
      {turnDeg !== null && Math.abs(turnDeg) > 0.5 && (
        <path d={arc(turnDeg)} className="fill-none stroke-now" strokeWidth="4" markerEnd="url(#turn)" />
      )}
      <defs>
        <marker id="turn" viewBox="0 0 8 8" refX="4" refY="4" markerWidth="4" markerHeight="4" orient="auto">
          <path d="M0 0L8 4L0 8Z" className="fill-now" />
        </marker>
      </defs>
    </svg>
  );
}

/** From the mark on, in the sense of turning where it is over 0. */
function arc(deg: number): string {
  const end = ((deg - 90) * Math.PI) / 180;
  const [x, y] = [220 + 66 * Math.cos(end), 175 + 66 * Math.sin(end)];
  return `M220 109A66 66 0 ${Math.abs(deg) > 180 ? 1 : 0} ${deg > 0 ? 1 : 0} ${x.toFixed(1)} ${y.toFixed(1)}`;
}
