import { memo } from "react";

export type MarkState = "inside" | "near" | "outside" | "unknown";

export const stateWord: Record<MarkState, string> = {
  inside: "inside",
  near: "near the edge",
  outside: "outside",
  unknown: "not known",
};

export const stateText: Record<MarkState, string> = {
  inside: "text-inside",
  near: "text-near",
  outside: "text-outside",
  unknown: "text-mid",
};

/** The mark of a state as SVG shapes about (x, y): disc, half disc, diamond, ring. Never colour alone. */
export const MarkShape = memo(function MarkShape({
  state,
  x,
  y,
  r,
}: {
  state: MarkState;
  x: number;
  y: number;
  r: number;
}) {
  const half = `M${x} ${y - r}A${r} ${r} 0 0 1 ${x} ${y + r}Z`;
  switch (state) {
    case "inside":
      return <circle cx={x} cy={y} r={r} className="fill-inside" />;
    case "near":
      return (
        <g>
          <circle cx={x} cy={y} r={r} className="fill-panel stroke-near" strokeWidth={r / 3.2} />
          <path d={half} className="fill-near" />
        </g>
      );
    case "outside":
      return (
        <path
          d={`M${x} ${y - 1.25 * r}l${1.25 * r} ${1.25 * r}l${-1.25 * r} ${1.25 * r}l${-1.25 * r} ${-1.25 * r}Z`}
          className="fill-outside"
        />
      );
    case "unknown":
      return <circle cx={x} cy={y} r={r} className="fill-panel stroke-mid" strokeWidth={r / 3.2} />;
  }
});

/** A state as mark and word. */
export const StateMark = memo(function StateMark({
  state,
  word = stateWord[state],
}: {
  state: MarkState;
  word?: string;
}) {
  return (
    <span className={`inline-flex items-center gap-1.5 font-semibold ${stateText[state]}`}>
      <svg width="14" height="14" viewBox="0 0 14 14" aria-hidden="true">
        <MarkShape state={state} x={7} y={7} r={5.2} />
      </svg>
      {word}
    </span>
  );
});
