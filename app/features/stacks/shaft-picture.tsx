import { formatNumber } from "~/app/features/words/figure";
import { useWords } from "~/app/features/words/use-words";
import type { ShaftAnswer } from "~/core/stacks";

const [width, left, axis] = [680, 20, 92] as const;

/** Parts and spacers on their shaft between the faces, to scale along it. */
export function ShaftPicture({
  lengthMm,
  items,
  answer,
}: {
  lengthMm: number;
  items: readonly { id: string; widthMm: number; planeMm?: number | undefined; planeAtMm?: number | undefined }[];
  answer: ShaftAnswer;
}) {
  const reader = useWords();
  const scale = (width - 2 * left) / lengthMm;
  const x = (mm: number) => left + mm * scale;
  let at = 0;
  const parts = answer.gaps.flatMap((gap, index) => {
    const spacers = gap.spacers.flatMap(({ widthMm, count }) =>
      Array.from({ length: count }, () => {
        const from = at;
        at += widthMm;
        return { key: `s${from}`, from, widthMm, item: null };
      }),
    );
    const item = items[index];
    if (!item) return spacers;
    const from = at;
    at += item.widthMm;
    return [...spacers, { key: item.id, from, widthMm: item.widthMm, item }];
  });
  return (
    <svg
      viewBox={`0 0 ${width} 190`}
      className="w-full bg-panel"
      role="img"
      aria-label={`${items.length} parts on a shaft of ${formatNumber(reader, lengthMm, 2)} mm, to scale along it`}
    >
      <rect
        x={left}
        y={axis - 9}
        width={width - 2 * left}
        height="18"
        className="fill-ground stroke-ink"
        strokeWidth="1"
      />
      {[left - 8, width - left].map((face) => (
        <rect key={face} x={face} y={axis - 60} width="8" height="120" className="fill-ink" />
      ))}
      {parts.map(({ key, from, widthMm, item }) => (
        <g key={key}>
          <rect
            x={x(from)}
            y={axis - (item ? 48 : 22)}
            width={widthMm * scale}
            height={item ? 96 : 44}
            className={item ? "fill-panel stroke-ink" : "fill-band stroke-band-line"}
            strokeWidth="1.5"
          />
          {item?.planeAtMm !== undefined && (
            <line
              x1={x(from + (item.planeMm ?? 0))}
              x2={x(from + (item.planeMm ?? 0))}
              y1={axis - 62}
              y2={axis + 62}
              className="stroke-ink"
              strokeDasharray="8 3 2 3"
              strokeWidth="1"
            />
          )}
          {item && (
            <text x={x(from + widthMm / 2)} y="24" textAnchor="middle" fontSize="15" className="fill-ink">
              {item.id}
            </text>
          )}
        </g>
      ))}
      <path d={`M20 ${axis}H${width - 20}`} className="stroke-mid" strokeDasharray="10 3 2 3" strokeWidth="1" />
      <text x={width - left} y="180" textAnchor="end" fontSize="15" className="fill-mid figure">
        {formatNumber(reader, answer.endFloatMm, 3)} mm end float
      </text>
    </svg>
  );
}
