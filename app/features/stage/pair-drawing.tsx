import { useMemo } from "react";
import {
  type GearPair,
  gearBlanks,
  gearPair,
  type PairGeometry,
  type Point,
  toothCircles,
  toothOutlines,
} from "~/core/gears";

export type PairSize = { widthMm: number; heightMm: number };
type Drawn = PairSize & { paths: [string, string]; mesh: GearPair; centres: [number, number]; tips: [number, number] };

/** What a pair takes up on the sheet, mm; null where it has no geometry. */
export function pairSize(pair: PairGeometry): PairSize | null {
  const drawn = drawPair(pair, false);
  return drawn && { widthMm: drawn.widthMm, heightMm: drawn.heightMm };
}

function drawPair(pair: PairGeometry, withTeeth: boolean): Drawn | null {
  const mesh = gearPair(pair);
  if (!mesh.ok) return null;
  const blanks = gearBlanks(pair);
  const a = mesh.value.centreDistanceMm;
  const outer = blanks.map((blank) => {
    const circles = toothCircles(blank);
    return blank.ring ? circles.rootDiameterMm / 2 + 1.5 * pair.moduleMm : circles.tipDiameterMm / 2;
  }) as [number, number];
  // Pinion to the left of its gear; inside a ring it stands to the right of the ring's middle, where they touch.
  const centres: [number, number] = pair.internal ? [outer[1] + a, outer[1]] : [outer[0], outer[0] + a];
  const widthMm = pair.internal ? 2 * outer[1] : outer[0] + a + outer[1];
  const heightMm = 2 * Math.max(...outer);
  // A tooth of the pinion looks at the gear, a gap of the gear at the pinion.
  const turn: [number, number] = pair.internal ? [90, 90 + 180 / pair.teeth[1]] : [90, -90 + 180 / pair.teeth[1]];
  const paths = blanks.map((blank, i) =>
    withTeeth ? gearPath(toothOutlines(blank, pair.teeth[i as 0 | 1] > 60 ? 2 : 3), turn[i as 0 | 1]) : "",
  ) as [string, string];
  return { widthMm, heightMm, paths, mesh: mesh.value, centres, tips: outer };
}

function gearPath(runs: readonly Point[][], turnDeg: number): string {
  const turn = (turnDeg * Math.PI) / 180;
  const cos = Math.cos(turn);
  const sin = Math.sin(turn);
  const points = runs.flatMap((run) =>
    run.map(([x, y]) => `${(x * cos - y * sin).toFixed(3)} ${(x * sin + y * cos).toFixed(3)}`),
  );
  return `M${points.join("L")}Z`;
}

/** A pair as it stands: true teeth, true working pitch circles, true centre distance. `scale` in pixels a millimetre. */
export function PairDrawing({ pair, scale, label }: { pair: PairGeometry; scale: number; label: string }) {
  const drawn = useMemo(() => drawPair(pair, true), [pair]);
  if (!drawn) return null;
  const { widthMm, heightMm, paths, mesh, centres, tips } = drawn;
  const pad = 6 / scale;
  const y = heightMm / 2;
  return (
    <svg
      width={(widthMm + 2 * pad) * scale}
      height={(heightMm + 2 * pad) * scale}
      viewBox={`${-pad} ${-pad} ${widthMm + 2 * pad} ${heightMm + 2 * pad}`}
      role="img"
      aria-label={label}
      className="max-w-full h-auto"
    >
      {([1, 0] as const).map((i) => (
        <g key={i} transform={`translate(${centres[i]} ${y})`}>
          {i === 1 && pair.internal && (
            <circle r={tips[1]} className="fill-panel stroke-mid" strokeWidth="1" vectorEffect="non-scaling-stroke" />
          )}
          <path
            d={paths[i]}
            className={`${i === 1 && pair.internal ? "fill-ground" : "fill-panel"} stroke-ink`}
            strokeWidth="1.3"
            strokeLinejoin="round"
            vectorEffect="non-scaling-stroke"
          />
          <circle
            r={mesh.workingPitchDiameterMm[i] / 2}
            className="fill-none stroke-mid"
            strokeWidth="1"
            strokeDasharray="6 3 1.5 3"
            vectorEffect="non-scaling-stroke"
          />
          <path
            d={`M${-4 / scale} 0H${4 / scale}M0 ${-4 / scale}V${4 / scale}`}
            className="stroke-ink"
            strokeWidth="1.3"
            vectorEffect="non-scaling-stroke"
          />
        </g>
      ))}
      <path
        d={`M${centres[0]} ${y}H${centres[1]}`}
        className="stroke-mid"
        strokeWidth="1"
        strokeDasharray="10 3 2 3"
        vectorEffect="non-scaling-stroke"
      />
    </svg>
  );
}

/** One scale for several pairs side by side, so that they fit into a width and none is higher than allowed; pixels a millimetre. */
export function commonScale(sizes: readonly PairSize[], widthPx: number, heightPx: number): number {
  const width = sizes.reduce((sum, size) => sum + size.widthMm, 0) || 1;
  const height = Math.max(...sizes.map((size) => size.heightMm), 1);
  return Math.min(widthPx / width, heightPx / height, 4);
}
