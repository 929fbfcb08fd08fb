import { useMemo } from "react";
import { lengthWords } from "~/app/features/words/spoken";
import { useWords } from "~/app/features/words/use-words";
import { type BeltElement, type ChainElement, stagePath } from "~/core/stages";
import { Shapes } from "../../drawing/shapes-drawing";
import { drawnStage } from "../../drawing/stage-drawing";

const width = 520;
const most = 170;
const line = 24;

/** The true path of a belt or chain with the free span at which it is read, and what is done there. */
export function RunPart({ element, asks }: { element: BeltElement | ChainElement; asks: string }) {
  const reader = useWords();
  const drawn = useMemo(() => drawnStage(element), [element]);
  const span = useMemo(() => longestSpan(element), [element]);
  if (!drawn || !span) return null;
  const { left, top, right, bottom } = drawn.box;
  const scale = Math.min((width - 20) / (right - left), most / (bottom - top));
  const x = (width - (right - left) * scale) / 2 - left * scale;
  const at = ([px, py]: readonly [number, number]) => [x + px * scale, line + 14 - top * scale + py * scale] as const;
  const [from, to] = [at(span.from), at(span.to)];
  const said = `${asks}: ${lengthWords(reader, span.lengthMm, 0)} free`;
  return (
    <svg
      viewBox={`0 0 ${width} ${(bottom - top) * scale + line + 28}`}
      className="w-full max-h-full"
      role="img"
      aria-label={`Path to scale; ${said}`}
    >
      <g transform={`translate(${x} ${line + 14 - top * scale}) scale(${scale})`}>
        <Shapes shapes={drawn.shapes} />
      </g>
      <path d={`M${from.join(" ")}L${to.join(" ")}`} className="stroke-now" strokeWidth="5" />
      <path
        d={`M${(from[0] + to[0]) / 2} ${(from[1] + to[1]) / 2}V${line}`}
        className="stroke-now"
        strokeWidth="1.5"
        strokeDasharray="3 4"
      />
      <text x={width / 2} y="18" textAnchor="middle" fontSize="18" className="fill-now font-bold">
        {said}
      </text>
    </svg>
  );
}

/** On the sheet, whose y goes downwards. */
function longestSpan(element: BeltElement | ChainElement) {
  const path = stagePath(element);
  if (!path.ok) return null;
  const span = path.value.laid.spans.reduce((a, b) => (b.lengthMm > a.lengthMm ? b : a));
  return {
    lengthMm: span.lengthMm,
    from: [span.start[0], -span.start[1]] as const,
    to: [span.end[0], -span.end[1]] as const,
  };
}
