import type { IndexError } from "~/core/trains";

/** The wheel divided, and how far off a position may be: the ring at worst, the inner one likely, dashed the tolerance. Not to scale: the greatest fills the ring. */
export function IndexPicture({
  output: { position },
  divisions,
  tolerance,
  figure,
}: {
  output: IndexError;
  divisions: number;
  tolerance: number | undefined;
  figure: (value: number) => string;
}) {
  const most = Math.max(position.worstArcmin, tolerance ?? 0) || 1;
  const band = (arcmin: number) => (44 * arcmin) / most;
  const marks = Math.min(divisions, 240);
  const ring = (arcmin: number, className: string) => (
    <circle r="120" className={className} strokeWidth={2 * band(arcmin)} fill="none" />
  );
  return (
    <svg
      viewBox="-230 -180 460 376"
      className="w-full max-h-96 bg-panel"
      role="img"
      aria-label="How far off a division may be"
    >
      {ring(position.worstArcmin, "stroke-band")}
      {ring(position.rssArcmin, "stroke-rule")}
      {tolerance !== undefined &&
        [-1, 1].map((side) => (
          <circle
            key={side}
            r={120 + side * band(tolerance)}
            className="fill-none stroke-outside"
            strokeWidth="2"
            strokeDasharray="7 5"
          />
        ))}
      {Array.from({ length: marks }, (_, k) => {
        const turn = (2 * Math.PI * k) / marks;
        return (
          <line
            key={turn}
            x1={112 * Math.sin(turn)}
            y1={-112 * Math.cos(turn)}
            x2={128 * Math.sin(turn)}
            y2={-128 * Math.cos(turn)}
            className="stroke-ink"
            strokeWidth={k === 0 ? 5 : 2}
          />
        );
      })}
      <text y="6" textAnchor="middle" fontSize="22" className="fill-ink figure">
        ± {figure(position.worstArcmin)}′
      </text>
      <text y="190" textAnchor="middle" fontSize="16" className="fill-mid">
        Pale: at worst; grey: likely{tolerance === undefined ? "" : "; dashed: tolerance"}
      </text>
    </svg>
  );
}
