import type { HousingLine } from "~/core/shafts";

/** Housings from the side under the line that goes over them, heights enlarged, each with the shim that lifts it. */
export function HousingPicture({
  housings,
  answer,
  figure,
}: {
  housings: readonly { xMm: number; gapMm: number }[];
  answer: HousingLine;
  figure: (value: number) => string;
}) {
  const xs = housings.map(({ xMm }) => xMm);
  const [left, right] = [Math.min(...xs), Math.max(...xs)];
  const x = (mm: number) => 60 + ((mm - left) / (right - left || 1)) * 560;
  const most = Math.max(...answer.raiseMm, 1e-9);
  const drop = (i: number) => (36 * (answer.raiseMm[i] ?? 0)) / most;
  return (
    <svg
      viewBox="0 0 680 200"
      className="w-full bg-panel"
      role="img"
      aria-label="The housings under one line, with what is shimmed under each"
    >
      <path d="M30 60H650" className="stroke-ink" strokeWidth="2" strokeDasharray="14 4 3 4" />
      <rect x="20" y="168" width="640" height="10" className="fill-mid" />
      {housings.map(({ xMm }, i) => {
        const raise = answer.raiseMm[i] ?? 0;
        const binds = answer.binds.includes(i);
        const top = 60 + drop(i);
        return (
          <g key={xMm}>
            <path
              d={`M${x(xMm) - 30} 168V${top + 24}A30 30 0 0 1 ${x(xMm) + 30} ${top + 24}V168Z`}
              className={`fill-ground ${binds ? "stroke-outside" : "stroke-ink"}`}
              strokeWidth={binds ? 4 : 2}
            />
            <circle cx={x(xMm)} cy={top} r="12" className="fill-panel stroke-ink" strokeWidth="2" />
            {raise >= 0.0005 && <rect x={x(xMm) - 36} y={160} width="72" height="8" className="fill-ink" />}
            <text x={x(xMm)} y="30" textAnchor="middle" fontSize="16" className="fill-ink figure">
              {raise < 0.0005 ? "0" : `+ ${figure(raise)}`}
            </text>
            <text x={x(xMm)} y="196" textAnchor="middle" fontSize="15" className="fill-mid figure">
              {i + 1}
            </text>
          </g>
        );
      })}
    </svg>
  );
}
