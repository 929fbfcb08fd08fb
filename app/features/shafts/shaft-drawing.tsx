import { useWords } from "~/app/features/words/use-words";
import type { Verdict } from "~/core/limits";
import type { ShaftPartKind } from "~/core/shafts";
import { lengthWords } from "../words/spoken";

const [width, height, left, axis] = [700, 230, 34, 118] as const;

export type DrawnPart = { key: string; name: string; kind: ShaftPartKind; leftMm: number; widthMm: number };
export type DrawnPlane = { key: string; atMm: number; wantedMm: number; verdict: Verdict | null };

/** Half the height of each kind: what it is shows by its shape; only widths are to scale. */
const half: Record<ShaftPartKind, number> = {
  bearing: 40,
  bush: 26,
  gear: 56,
  pulley: 48,
  sprocket: 54,
  wheel: 60,
  hub: 34,
  collar: 28,
  sleeve: 20,
  other: 36,
};

/**
 * A shaft between its faces, to scale along it: numbered parts, spacers dark, one that is made hatched, planes where they must stand
 * (dashed) and where they stand (solid), the end float at the right.
 *
 * @param laid spacers, by where they begin
 */
export function ShaftDrawing({
  lengthMm,
  parts,
  laid,
  planes,
  floatMm,
}: {
  lengthMm: number;
  parts: readonly DrawnPart[];
  laid: readonly { leftMm: number; widthMm: number; made: boolean }[];
  planes: readonly DrawnPlane[];
  floatMm: number;
}) {
  const reader = useWords();
  const longest = Math.max(lengthMm, lengthMm - floatMm);
  const scale = (width - 2 * left) / longest;
  const x = (mm: number) => left + mm * scale;
  const end = x(lengthMm);
  return (
    <svg
      viewBox={`0 0 ${width} ${height}`}
      className="w-full bg-panel"
      role="img"
      aria-label={`${parts.length} parts between faces ${lengthWords(reader, lengthMm, 2)} apart, widths to scale; ${
        floatMm >= 0
          ? `${lengthWords(reader, floatMm, 3)} left at the right`
          : `they are ${lengthWords(reader, -floatMm, 3)} too long`
      }`}
    >
      <defs>
        <pattern id="made" width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <rect width="6" height="6" className="fill-panel" />
          <rect width="2.5" height="6" className="fill-ink" />
        </pattern>
      </defs>
      <rect x={left - 20} y={axis - 10} width={width - 2 * left + 40} height="20" className="fill-ground stroke-ink" />
      {[left - 10, end].map((face) => (
        <rect key={face} x={face} y={axis - 70} width="10" height="140" className="fill-mid" />
      ))}
      {parts.map((part) => (
        <Part key={part.key} part={part} x={x(part.leftMm)} w={part.widthMm * scale} />
      ))}
      {laid.map(({ leftMm, widthMm, made }) => (
        <rect
          key={`${leftMm} ${widthMm}`}
          x={x(leftMm)}
          y={axis - 18}
          // A thin shim is still to be seen.
          width={Math.max(2.5, widthMm * scale)}
          height="36"
          fill={made ? "url(#made)" : undefined}
          className={made ? "stroke-ink" : "fill-ink stroke-panel"}
          strokeWidth="0.6"
        />
      ))}
      {planes.map(({ key, atMm, wantedMm, verdict }) => (
        <g key={key} className={verdict === "does-not-conform" ? "stroke-outside" : "stroke-ink"}>
          <line x1={x(wantedMm)} x2={x(wantedMm)} y1={axis - 84} y2={axis - 60} strokeDasharray="5 3" strokeWidth="2" />
          <line x1={x(atMm)} x2={x(atMm)} y1={axis - 60} y2={axis + 66} strokeDasharray="12 3 2 3" strokeWidth="1.5" />
        </g>
      ))}
      {parts.map(({ key, leftMm, widthMm }, i) => (
        <text
          key={key}
          x={x(leftMm + widthMm / 2)}
          // Neighbours that are narrow stand one above the other.
          y={i % 2 === 0 ? axis + 84 : axis + 102}
          textAnchor="middle"
          fontSize="17"
          className="fill-ink font-semibold figure"
        >
          {i + 1}
        </text>
      ))}
      <path
        d={`M${left - 28} ${axis}H${width - left + 28}`}
        className="stroke-mid"
        strokeDasharray="14 4 3 4"
        strokeWidth="1"
      />
    </svg>
  );
}

function Part({ part: { kind }, x, w }: { part: DrawnPart; x: number; w: number }) {
  const h = half[kind];
  const [top, tall] = [axis - h, 2 * h];
  const body = <rect x={x} y={top} width={w} height={tall} className="fill-panel stroke-ink" strokeWidth="1.5" />;
  switch (kind) {
    case "bearing":
      return (
        <g className="stroke-ink" strokeWidth="1.5">
          {body}
          {[top + h / 2, axis + h / 2].map((y) => (
            <circle
              key={y}
              cx={x + w / 2}
              cy={y}
              r={Math.max(1.5, Math.min(w / 2.6, h / 4.5))}
              className="fill-ground"
            />
          ))}
        </g>
      );
    case "gear":
    case "sprocket":
      return (
        <g className="stroke-ink" strokeWidth="1">
          {body}
          {[top + 9, axis + h - 9].map((y) => (
            <path key={y} d={`M${x} ${y}h${w}`} strokeDasharray={kind === "gear" ? undefined : "4 3"} />
          ))}
        </g>
      );
    case "pulley":
      return (
        <g className="fill-panel stroke-ink" strokeWidth="1.5">
          <rect x={x} y={top + 8} width={w} height={tall - 16} />
          {[x, x + w - Math.min(3, w / 4)].map((at) => (
            <rect key={at} x={at} y={top} width={Math.min(3, w / 4)} height={tall} className="fill-mid" />
          ))}
        </g>
      );
    case "collar":
      return (
        <g className="stroke-ink" strokeWidth="1.5">
          {body}
          <path d={`M${x + w / 2} ${top}v${h - 10}`} strokeWidth="3" />
        </g>
      );
    default:
      return body;
  }
}
