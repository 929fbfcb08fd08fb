import type { ShapeRole, StageShapes } from "~/core/drawing";

/** How each kind of line is drawn; widths in pixels, whatever the scale. */
export const shapeLook: Record<ShapeRole, { className: string; width: number; dash?: string }> = {
  body: { className: "fill-panel stroke-ink", width: 1.3 },
  hollow: { className: "fill-ground stroke-ink", width: 1.3 },
  pitch: { className: "fill-none stroke-mid", width: 1, dash: "6 3 1.5 3" },
  axis: { className: "fill-none stroke-mid", width: 1, dash: "10 3 2 3" },
  belt: { className: "fill-none stroke-ink", width: 3 },
  chain: { className: "fill-none stroke-ink", width: 3, dash: "5 2" },
  point: { className: "fill-copper stroke-ink", width: 1 },
  mark: { className: "fill-none stroke-ink", width: 1.3 },
  hidden: { className: "fill-none stroke-mid", width: 1 },
};

export type DrawnSize = { widthMm: number; heightMm: number };

export const sizeOf = ({ box }: StageShapes): DrawnSize => ({
  widthMm: box.right - box.left,
  heightMm: box.bottom - box.top,
});

export type Drawn = {
  label: string;
  /** In pixels a millimetre; left out: the largest that fits into width and height. */
  scale?: number;
  fit?: { widthPx: number; heightPx: number };
};

/** Shapes of a stage, to scale. */
export function ShapesDrawing({
  drawn,
  label,
  scale,
  fit = { widthPx: 440, heightPx: 260 },
}: Drawn & { drawn: StageShapes }) {
  const { left, top } = drawn.box;
  const { widthMm, heightMm } = sizeOf(drawn);
  const used = scale ?? Math.min(fit.widthPx / widthMm, fit.heightPx / heightMm, 4);
  const pad = 6 / used;
  return (
    <svg
      width={(widthMm + 2 * pad) * used}
      height={(heightMm + 2 * pad) * used}
      viewBox={`${left - pad} ${top - pad} ${widthMm + 2 * pad} ${heightMm + 2 * pad}`}
      role="img"
      aria-label={label}
      className="max-w-full h-auto"
    >
      <Shapes shapes={drawn.shapes} />
      {drawn.labels?.map(({ at: [x, y], text, heightMm }) => (
        <text
          key={text}
          x={x}
          y={y + 0.36 * heightMm}
          textAnchor="middle"
          fontSize={heightMm}
          className="fill-ink font-bold"
        >
          {text}
        </text>
      ))}
    </svg>
  );
}

export function Shapes({ shapes }: { shapes: StageShapes["shapes"] }) {
  return shapes.map(({ role, d }, i) => {
    const { className, width, dash } = shapeLook[role];
    return (
      <path
        key={i}
        d={d}
        className={className}
        strokeWidth={width}
        strokeDasharray={dash}
        strokeLinejoin="round"
        vectorEffect="non-scaling-stroke"
      />
    );
  });
}

/** One scale for several stages side by side, so that they fit into a width and none is higher than allowed; pixels a millimetre. */
export function commonScale(sizes: readonly DrawnSize[], widthPx: number, heightPx: number): number {
  const width = sizes.reduce((sum, size) => sum + size.widthMm, 0) || 1;
  const height = Math.max(...sizes.map((size) => size.heightMm), 1);
  return Math.min(widthPx / width, heightPx / height, 4);
}
