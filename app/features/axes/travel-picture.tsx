import type { AxisEnd, AxisTravel } from "~/core/axes";

/** An axis along its travel, to scale: the work, at both ends the window for the switch, the switch with its stop, and the buffer. */
export function TravelPicture({
  work,
  low,
  high,
  travel,
  label,
  figure,
}: {
  work: { lo: number; hi: number };
  low: AxisEnd;
  high: AxisEnd;
  travel: AxisTravel;
  label: string;
  figure: (value: number) => string;
}) {
  const width = 700;
  const span = high.bufferAt - low.bufferAt || 1;
  const [from, to] = [Math.min(low.bufferAt, work.lo) - 0.08 * span, Math.max(high.bufferAt, work.hi) + 0.08 * span];
  const x = (at: number) => (width * (at - from)) / (to - from);
  const ends = [
    { name: "low", end: low, says: travel.ends.low, outwards: -1 },
    { name: "high", end: high, says: travel.ends.high, outwards: 1 },
  ];
  return (
    <svg viewBox={`0 0 ${width} 190`} className="w-full bg-panel" role="img" aria-label={label}>
      <line x1={x(from)} x2={x(to)} y1="120" y2="120" className="stroke-rule" strokeWidth="2" />
      <rect
        x={x(work.lo)}
        width={x(work.hi) - x(work.lo)}
        y="108"
        height="24"
        className="fill-ground stroke-ink"
        strokeWidth="2"
      />
      <text x={x((work.lo + work.hi) / 2)} y="126" textAnchor="middle" fontSize="16" className="fill-mid">
        work
      </text>
      {ends.map(({ name, end, says, outwards }) => {
        const [a, b] = says.switchWindow ?? [0, 0];
        const stop = end.switchAt === undefined ? null : end.switchAt + outwards * travel.stopping;
        const wrong = travel.faults.some((fault) => fault.end === name && fault.code !== "no-switch");
        return (
          <g key={name}>
            {says.switchWindow && (
              <rect
                x={Math.min(x(a), x(b))}
                width={Math.max(2, Math.abs(x(b) - x(a)))}
                y="86"
                height="14"
                className="fill-band stroke-band-line"
              />
            )}
            <rect
              x={outwards > 0 ? x(end.bufferAt) : x(end.bufferAt) - 14}
              width="14"
              y="92"
              height="56"
              className="fill-ink"
            />
            <text x={x(end.bufferAt)} y="170" textAnchor="middle" fontSize="16" className="fill-mid figure">
              {figure(end.bufferAt)}
            </text>
            {end.switchAt !== undefined && stop !== null && (
              <>
                <path d={`M${x(end.switchAt)} 104 l-8 -20 h16 z`} className={wrong ? "fill-outside" : "fill-inside"} />
                <text
                  x={x(end.switchAt)}
                  y="56"
                  textAnchor={outwards > 0 ? "end" : "start"}
                  fontSize="16"
                  className="fill-ink figure"
                >
                  switch {figure(end.switchAt)}
                </text>
                <line
                  x1={x(end.switchAt)}
                  x2={x(stop)}
                  y1="76"
                  y2="76"
                  className={wrong ? "stroke-outside" : "stroke-ink"}
                  strokeWidth="3"
                />
                <line
                  x1={x(stop)}
                  x2={x(stop)}
                  y1="68"
                  y2="84"
                  className={wrong ? "stroke-outside" : "stroke-ink"}
                  strokeWidth="3"
                />
              </>
            )}
          </g>
        );
      })}
      <text x="4" y="18" fontSize="16" className="fill-mid">
        Filled: where the switch may stand; line from the switch: how far it runs on; black: buffers
      </text>
    </svg>
  );
}
