import type { AxisEnd, AxisTravel } from "~/core/axes";

type Range = { lo: number; hi: number };

/**
 * An axis along its travel, its ends to scale and the work between them broken off: at both ends the window for the switch, the switch with its
 * stop, what is left of it, and the buffer.
 */
export function TravelPicture({
  work,
  low,
  high,
  travel,
  label,
  figure,
}: {
  work: Range;
  low: AxisEnd;
  high: AxisEnd;
  travel: AxisTravel;
  label: string;
  figure: (value: number) => string;
}) {
  const width = 700;
  const { inwards, outwards } = endReach(work, low, high, travel.stopping);
  // A travel that is short against its ends is drawn whole.
  const broken = high.bufferAt - low.bufferAt > 4 * inwards;
  const scale =
    (broken ? width / 2 - 40 : width - 20) /
    (broken ? inwards + outwards : high.bufferAt - low.bufferAt + 2 * outwards);
  const x = (at: number) =>
    broken && at > (work.lo + work.hi) / 2
      ? width - 10 - scale * (high.bufferAt + outwards - at)
      : 10 + scale * (at - low.bufferAt + outwards);
  const ends = [
    { name: "low", end: low, says: travel.ends.low, outwards: -1 },
    { name: "high", end: high, says: travel.ends.high, outwards: 1 },
  ] as const;
  return (
    <svg viewBox={`0 0 ${width} 206`} className="w-full bg-panel" role="img" aria-label={label}>
      <Way x={x} work={work} broken={broken} width={width} />
      {ends.map(({ name, ...at }) => (
        <End
          key={name}
          {...at}
          {...{ x, figure, width }}
          stopping={travel.stopping}
          wrong={travel.faults.some((fault) => fault.end === name && fault.code !== "no-switch")}
        />
      ))}
      <text x="4" y="16" fontSize="15" className="fill-mid">
        Filled: where a switch may stand. Line from it: how far it runs on. Black: buffers.
        {broken ? " Work broken off." : ""}
      </text>
    </svg>
  );
}

/** How far from its buffer an end is drawn, to either side: all that belongs to it. */
function endReach(work: Range, low: AxisEnd, high: AxisEnd, stopping: number): { inwards: number; outwards: number } {
  const switches = [
    ...(low.switchAt === undefined ? [] : [low.switchAt - low.bufferAt]),
    ...(high.switchAt === undefined ? [] : [high.bufferAt - high.switchAt]),
  ];
  const inwards = 1.2 * Math.max(work.lo - low.bufferAt, high.bufferAt - work.hi, stopping, ...switches);
  return { inwards, outwards: 1.1 * Math.max(0.2 * inwards, ...switches.map((before) => stopping - before)) };
}

function Way({ x, work, broken, width }: { x: (at: number) => number; work: Range; broken: boolean; width: number }) {
  const middle = width / 2;
  const edge = "stroke-ink fill-ground";
  return (
    <g strokeWidth="2">
      <line x1="0" x2={width} y1="136" y2="136" className="stroke-rule" />
      {broken ? (
        <>
          <path d={`M${middle - 12} 124H${x(work.lo)}V148H${middle - 12}`} className={edge} />
          <path d={`M${middle + 12} 124H${x(work.hi)}V148H${middle + 12}`} className={edge} />
          {[middle - 12, middle + 12].map((at) => (
            <path key={at} d={`M${at + 5} 116l-10 13 10 14 -10 13`} className="stroke-ink fill-none" />
          ))}
        </>
      ) : (
        <rect x={x(work.lo)} width={x(work.hi) - x(work.lo)} y="124" height="24" className={edge} />
      )}
      <text
        x={broken ? (x(work.lo) + middle - 12) / 2 : (x(work.lo) + x(work.hi)) / 2}
        y="142"
        textAnchor="middle"
        fontSize="15"
        stroke="none"
        className="fill-mid"
      >
        work
      </text>
    </g>
  );
}

function End({
  end,
  says,
  outwards,
  stopping,
  wrong,
  x,
  figure,
  width,
}: {
  end: AxisEnd;
  says: AxisTravel["ends"]["low"];
  outwards: -1 | 1;
  stopping: number;
  wrong: boolean;
  x: (at: number) => number;
  figure: (value: number) => string;
  width: number;
}) {
  const [a, b] = says.switchWindow ?? [0, 0];
  const stop = end.switchAt === undefined ? null : end.switchAt + outwards * stopping;
  const anchor = outwards > 0 ? "end" : "start";
  const side = outwards > 0 ? width - 8 : 8;
  const line = wrong ? "stroke-outside" : "stroke-ink";
  return (
    <g fontSize="15">
      {says.switchWindow && (
        <rect
          x={Math.min(x(a), x(b))}
          width={Math.max(2, Math.abs(x(b) - x(a)))}
          y="102"
          height="14"
          className="fill-band stroke-band-line"
        />
      )}
      <rect
        x={outwards > 0 ? x(end.bufferAt) : x(end.bufferAt) - 14}
        width="14"
        y="108"
        height="56"
        className="fill-ink"
      />
      <text x={x(end.bufferAt)} y="184" textAnchor="middle" className="fill-mid figure">
        {figure(end.bufferAt)}
      </text>
      {end.switchAt !== undefined && stop !== null && (
        <>
          <path d={`M${x(end.switchAt)} 120 l-8 -20 h16 z`} className={wrong ? "fill-outside" : "fill-inside"} />
          <text x={side} y="46" textAnchor={anchor} className="fill-ink figure">
            switch {figure(end.switchAt)}
          </text>
          <text x={side} y="66" textAnchor={anchor} className={`figure ${wrong ? "fill-outside" : "fill-ink"}`}>
            {(says.margin ?? 0) < 0 ? `${figure(-(says.margin ?? 0))} too far` : `${figure(says.margin ?? 0)} left`}
          </text>
          <line x1={x(end.switchAt)} x2={x(stop)} y1="90" y2="90" className={line} strokeWidth="3" />
          <line x1={x(stop)} x2={x(stop)} y1="82" y2="98" className={line} strokeWidth="3" />
        </>
      )}
    </g>
  );
}
