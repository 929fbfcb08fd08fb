import { useMemo } from "react";
import type { Reader } from "~/app/features/words/reader";
import { lengthWords } from "~/app/features/words/spoken";
import { useWords } from "~/app/features/words/use-words";
import type { BevelElement } from "~/core/stages";
import { Shapes } from "../../drawing/shapes-drawing";
import { drawnStage } from "../../drawing/stage-drawing";
import type { Shims } from "../kind-panes";

const width = 520;
const most = 190;

/** Both cones cut through their axes, with the mounting distance of each and whose shims are moved. */
export function ConesPicture({ element, shims }: { element: BevelElement; shims: Shims | null }) {
  const reader = useWords();
  const drawn = useMemo(() => drawnStage(element), [element]);
  if (!drawn) return null;
  const { left, top, right, bottom } = drawn.box;
  const scale = Math.min((width - 240) / (right - left), most / (bottom - top));
  const [x, y] = [width / 2 - ((left + right) / 2) * scale, 20 - top * scale];
  const at = ([px, py]: readonly [number, number]) => [x + px * scale, y + py * scale] as const;
  const apex = at([0, 0]);
  const [pinion, gear] = drawn.shafts.map(at) as [readonly [number, number], readonly [number, number]];
  const below = y + bottom * scale;
  return (
    <svg viewBox={`0 0 ${width} ${below + 34}`} className="w-full max-h-full" role="img" aria-label={label(element)}>
      <g transform={`translate(${x} ${y}) scale(${scale})`}>
        <Shapes shapes={drawn.shapes} />
      </g>
      <path
        d={`M${apex[0]} 14V${apex[1]}M${x + left * scale} 14V${pinion[1]}`}
        className="stroke-mid"
        strokeWidth="1"
      />
      <path d={`M${apex[0]} 18H${x + left * scale}`} className="stroke-ink" strokeWidth="1.5" />
      <text x={(apex[0] + x + left * scale) / 2} y="13" textAnchor="middle" fontSize="16" className="fill-ink">
        pinion’s mounting distance
      </text>
      <path
        d={`M${x + right * scale + 16} ${apex[1]}V${below}M${gear[0]} ${below}H${x + right * scale + 20}M${apex[0]} ${apex[1]}H${x + right * scale + 20}`}
        className="stroke-mid fill-none"
        strokeWidth="1"
      />
      <text x={x + right * scale + 24} y={(apex[1] + below) / 2} fontSize="16" className="fill-ink">
        gear’s
      </text>
      <text x={width / 2} y={below + 26} textAnchor="middle" fontSize="16" className="fill-now font-bold">
        {shimWords(reader, element, shims)}
      </text>
    </svg>
  );
}

/** "shims behind the gear 1.00 mm, then 1.20 mm", with those on its other side. */
function shimWords(reader: Reader, { shimmed }: BevelElement, shims: Shims | null): string {
  const mm = (value: number) => lengthWords(reader, value, 2);
  if (!shims) return `its shims lie behind the ${shimmed}`;
  const { hereMm, otherMm, changeMm } = shims;
  const here =
    hereMm === null
      ? `${changeMm === 0 ? "" : `${mm(Math.abs(changeMm))} ${changeMm < 0 ? "out" : "in"}, of `}shims nobody has said yet`
      : `shims ${mm(hereMm)}${changeMm === 0 || hereMm + changeMm < 0 ? "" : `, then ${mm(hereMm + changeMm)}`}`;
  return `behind the ${shimmed}: ${here}${otherMm === null ? "" : `; other side ${mm(otherMm)}`}`;
}

const label = ({ shimmed }: BevelElement) =>
  `Both cones to scale with their mounting distances, shims behind the ${shimmed}`;
