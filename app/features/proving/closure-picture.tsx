import type { Closure } from "~/core/proving";

/** The zero mark much enlarged: how far the index missed it both ways, with the uncertainty, between the tolerances. */
export function ClosurePicture({
  output: { forward, backward },
  toleranceArcmin,
  figure,
}: {
  output: Closure;
  toleranceArcmin: number;
  figure: (arcmin: number) => string;
}) {
  // Seen from outside both ways lie on one scale: what falls short backwards stands beyond zero.
  const ways = [
    { name: "Forwards", at: forward.meanArcmin, u: forward.expandedUncertaintyArcmin, y: 62 },
    ...(backward ? [{ name: "Back", at: -backward.meanArcmin, u: backward.expandedUncertaintyArcmin, y: 108 }] : []),
  ];
  const most = 1.15 * Math.max(toleranceArcmin, ...ways.map(({ at, u }) => Math.abs(at) + u)) || 1;
  const x = (arcmin: number) => 265 + (165 * arcmin) / most;
  return (
    <svg viewBox="0 0 440 170" className="w-full bg-panel" role="img" aria-label="How far the mark misses zero">
      <rect
        x={x(-toleranceArcmin)}
        width={x(toleranceArcmin) - x(-toleranceArcmin)}
        y="34"
        height="102"
        className="fill-band"
      />
      {[-toleranceArcmin, toleranceArcmin].map((limit) => (
        <line key={limit} x1={x(limit)} x2={x(limit)} y1="34" y2="136" className="stroke-band-line" strokeWidth="2" />
      ))}
      <line x1={x(0)} x2={x(0)} y1="20" y2="136" className="stroke-ink" strokeWidth="4" />
      <text x={x(0)} y="160" textAnchor="middle" fontSize="16" className="fill-ink figure">
        0
      </text>
      <text x={x(toleranceArcmin)} y="160" textAnchor="middle" fontSize="16" className="fill-mid figure">
        {figure(toleranceArcmin)}
      </text>
      {ways.map(({ name, at, u, y }) => (
        <g key={name}>
          <line x1={x(at - u)} x2={x(at + u)} y1={y} y2={y} className="stroke-ink" strokeWidth="3" />
          <circle cx={x(at)} cy={y} r="7" className="fill-ink" />
          <text x="8" y={y + 5} fontSize="16" className="fill-ink">
            {name}
          </text>
        </g>
      ))}
    </svg>
  );
}
