import { type PointerEvent, useRef, useState } from "react";
import type { PrintSpan } from "~/core/prints";

export type FlankSpan = { depth: PrintSpan; length: PrintSpan };

const [wide, high, pad] = [320, 150, 26];
/** Shares are kept to whole per cent: a finger tells no more. */
const whole = (share: number): number => Math.round(100 * Math.min(1, Math.max(0, share))) / 100;
const least = 0.02;

/**
 * A painted flank seen square: its tip is the upper edge, its root the lower one. The print is marked by drawing over it with the finger; the
 * same is typed in the fields beside it.
 *
 * @param aim depth at which the middle of a right print lies
 */
export function PrintFlank({
  label,
  span,
  aim,
  ends,
  onMark = null,
  wanted = null,
}: {
  label: string;
  span: FlankSpan | null;
  aim: number;
  ends: readonly [string, string];
  /** Left out: it is only looked at. */
  onMark?: ((span: FlankSpan) => void) | null;
  /** Where the print should lie, dashed. */
  wanted?: FlankSpan | null;
}) {
  const flank = useRef<SVGSVGElement>(null);
  const [drawn, setDrawn] = useState<{ from: readonly [number, number]; to: readonly [number, number] } | null>(null);
  const at = (event: PointerEvent): [length: number, depth: number] => {
    const box = flank.current?.getBoundingClientRect();
    if (!box) return [0, 0];
    const per = (wide + 2 * pad) / box.width;
    const x = (event.clientX - box.left) * per - pad;
    const y = (event.clientY - box.top) * per - pad;
    return [x / wide, 1 - y / high];
  };
  const asSpan = ({ from, to }: NonNullable<typeof drawn>): FlankSpan => {
    const along = (i: 0 | 1) => ({ from: whole(Math.min(from[i], to[i])), to: whole(Math.max(from[i], to[i])) });
    return { length: along(0), depth: along(1) };
  };
  const shown = drawn ? asSpan(drawn) : span;
  return (
    <svg
      ref={flank}
      viewBox={`0 0 ${wide + 2 * pad} ${high + 2 * pad}`}
      className={`w-full bg-panel ${onMark ? "touch-none cursor-crosshair" : ""}`}
      role="img"
      aria-label={`${label}: ${shown ? spanLabel(shown) : "nothing marked yet"}`}
      onPointerDown={(event) => {
        if (!onMark) return;
        event.currentTarget.setPointerCapture(event.pointerId);
        setDrawn({ from: at(event), to: at(event) });
      }}
      onPointerMove={(event) => drawn && setDrawn({ ...drawn, to: at(event) })}
      onPointerUp={() => {
        if (!drawn || !onMark) return;
        const { depth, length } = asSpan(drawn);
        setDrawn(null);
        // A touch alone is no print.
        if (depth.to - depth.from >= least && length.to - length.from >= least) onMark({ depth, length });
      }}
      onPointerCancel={() => setDrawn(null)}
    >
      <rect x={pad} y={pad} width={wide} height={high} className="fill-copper/30 stroke-ink" strokeWidth="1.5" />
      {shown && <rect {...boxOf(shown)} className="fill-panel stroke-ink" strokeWidth="2" />}
      {wanted && <rect {...boxOf(wanted)} className="fill-none stroke-now" strokeWidth="2.5" strokeDasharray="9 5" />}
      <line
        x1={pad}
        x2={pad + wide}
        y1={pad + (1 - aim) * high}
        y2={pad + (1 - aim) * high}
        className="stroke-ink"
        strokeWidth="1.5"
        strokeDasharray="10 3 2 3"
      />
      <text x={pad} y={18} fontSize="16" className="fill-ink">
        {label}, tip
      </text>
      <text x={pad} y={high + 2 * pad - 6} fontSize="16" className="fill-mid">
        {ends[0]}
      </text>
      <text x={pad + wide} y={high + 2 * pad - 6} textAnchor="end" fontSize="16" className="fill-mid">
        {ends[1]}
      </text>
    </svg>
  );
}

const boxOf = ({ depth, length }: FlankSpan) => ({
  x: pad + length.from * wide,
  y: pad + (1 - depth.to) * high,
  width: (length.to - length.from) * wide,
  height: (depth.to - depth.from) * high,
});

/** About the depth at which it should lie, over most of the length. */
export const wantedSpan = (aim: number): FlankSpan => ({
  depth: { from: Math.max(0.05, aim - 0.3), to: Math.min(0.97, aim + 0.3) },
  length: { from: 0.1, to: 0.9 },
});

const percent = (share: number): string => `${Math.round(100 * share)}`;
const spanLabel = ({ depth, length }: FlankSpan): string =>
  `print from ${percent(depth.from)} to ${percent(depth.to)} per cent of the depth, ${percent(length.from)} to ${percent(length.to)} per cent of the length`;
