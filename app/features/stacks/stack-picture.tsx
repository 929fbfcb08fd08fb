import { useWords } from "~/app/features/words/use-words";
import { layStack } from "~/core/stacks";
import { lengthWords, spoken } from "../words/spoken";

const [width, high, left, top] = [360, 220, 24, 14] as const;

/** A stack as it will lie in its gap, to scale: thin ones between thick ones, what is left open above. */
export function StackPicture({
  gapMm: gap,
  shims,
  name = "Stack",
}: {
  /** Left out: it lies tight between its parts. */
  gapMm?: number | undefined;
  shims: readonly { thicknessMm: number; count: number }[];
  name?: string;
}) {
  const reader = useWords();
  const laid = layStack(shims);
  const totalMm = laid.reduce((sum, thickness) => sum + thickness, 0);
  const gapMm = gap ?? totalMm;
  const scale = high / Math.max(gapMm, totalMm, 1e-9);
  const floor = top + high;
  let at = floor;
  const layers = laid.map((thicknessMm, index) => {
    at -= thicknessMm * scale;
    return { index, thicknessMm, y: at, height: thicknessMm * scale };
  });
  const { figure } = spoken(reader, "mm", 3);
  const ceiling = floor - gapMm * scale;
  const open = gapMm - totalMm > 0.0005 ? [(ceiling + at) / 2] : [];
  const texts = [
    ...laid.map((thickness) => figure(thickness)),
    ...open.map(() => `${figure(gapMm - totalMm)} left open`),
  ];
  const heights = [...layers.map(({ y, height }) => y + height / 2), ...open];
  const labels = spread(heights);
  return (
    <svg
      viewBox={`0 0 ${width} ${high + 2 * top}`}
      className="w-full max-w-md bg-panel"
      role="img"
      aria-label={`${name}, ${laid.length} ${laid.length === 1 ? "piece" : "pieces"}${gap === undefined ? ` of ${lengthWords(reader, totalMm, 3)} in all` : ` in a gap of ${lengthWords(reader, gapMm, 3)}`}, to scale`}
    >
      {[ceiling - 8, floor].map((y, i) => (
        <rect key={i} x={left - 10} y={y} width="190" height="8" className="fill-ink" />
      ))}
      {layers.map(({ index, y, height }) => (
        <rect
          key={index}
          x={left}
          y={y}
          width="170"
          height={height}
          className="fill-band stroke-band-line"
          strokeWidth="1"
          vectorEffect="non-scaling-stroke"
        />
      ))}
      {texts.map((text, index) => (
        <g key={index}>
          <path
            d={`M${left + 170} ${heights[index]}H${left + 182}L${left + 196} ${labels[index]}`}
            className="fill-none stroke-mid"
            strokeWidth="1"
          />
          <text x={left + 200} y={(labels[index] ?? 0) + 5} fontSize="15" className="fill-ink figure">
            {text}
          </text>
        </g>
      ))}
    </svg>
  );
}

const apart = 17;

/** Heights of labels that keep apart, from the lowest up, each as near to its layer as it can be. */
function spread(wanted: readonly number[]): number[] {
  const placed: number[] = [];
  for (const y of wanted) placed.push(Math.min(y, (placed.at(-1) ?? Number.POSITIVE_INFINITY) - apart));
  const over = top - (placed.at(-1) ?? top);
  return over > 0 ? placed.map((y, i) => y + (over * (i + 1)) / placed.length) : placed;
}
