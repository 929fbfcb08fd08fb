import { useRef } from "react";
import type { DriveLineShapes, KeptDriveLine } from "~/core/stages";
import { MarkShape, type MarkState } from "~/ui/state-mark";
import { Shapes } from "../drawing/shapes-drawing";
import { labelRows, letterPx } from "./label-rows";

/** A stage of the picture; `onTop`: drawn over its neighbours. */
export type PicturedStage = { id: string; name: string; onTop: boolean };

type Props = {
  drawn: DriveLineShapes;
  sources: KeptDriveLine["sources"];
  stages: readonly PicturedStage[];
  stateOf: (stageId: string) => MarkState;
  /** Turned by dragging its driven shaft; left out where it is only looked at. */
  onTurn?: (stageId: string, angleDeg: number) => void;
  onChoose?: (stageId: string) => void;
  chosen?: string | null;
  label: string;
  /** Of the drawing without what its names need beside it. */
  widthPx?: number;
  /** What there is for all of it: it is drawn smaller rather than its names; null: not known. */
  room?: number | null;
};

const mostHeightPx = 460;
const rowPx = 22;
const padPx = 34;

/** The scale at which the drawing and its names, which are as large at every scale, lie within the room. */
function scaleWithin(
  room: number,
  most: number,
  names: readonly { text: string; x: number }[],
  [left, right]: readonly [number, number],
): number {
  const widthAt = (scale: number) =>
    Math.max(right * scale, ...names.map(({ text, x }) => x * scale + text.length * letterPx)) -
    left * scale +
    2 * padPx;
  let scale = most;
  while (widthAt(scale) > room && scale > most / 8) scale *= 0.96;
  return scale;
}

/** The drive line to scale, names where there is room, states as marks on the driven shafts. */
export function DrivePicture({
  drawn,
  sources,
  stages,
  stateOf,
  onTurn,
  onChoose,
  chosen = null,
  label,
  widthPx = 560,
  room = null,
}: Props) {
  const sheet = useRef<SVGSVGElement>(null);
  const { left, top, right, bottom } = drawn.box;
  const nameOf = (id: string) => stages.find((stage) => stage.id === id)?.name ?? "";
  const placeOf = (id: string) => drawn.shafts.find((shaft) => shaft.id === id)?.at;
  const named = [
    ...drawn.stages.map(({ id, driven }) => ({ id, text: nameOf(id), x: driven[0], y: driven[1] })),
    ...sources.flatMap(({ id, name }) => {
      const at = placeOf(id);
      return at ? [{ id: `source ${id}`, text: name, x: at[0], y: at[1] }] : [];
    }),
  ];
  const most = Math.min(widthPx / (right - left), mostHeightPx / (bottom - top), 4);
  const scale = room === null ? most : scaleWithin(room, most, named, [left, right]);
  const pad = padPx / scale;
  const labels = labelRows(named.map((label) => ({ ...label, x: label.x * scale })));
  const beyond = Math.max(right, ...labels.map(({ end }) => end / scale));
  const head = (Math.max(0, ...labels.map(({ row }) => row + 1)) * rowPx + 10) / scale;
  const view = [left - pad, top - pad - head, beyond - left + 2 * pad, bottom - top + 2 * pad + head] as const;
  const toSheet = (event: React.PointerEvent) => {
    const box = sheet.current?.getBoundingClientRect();
    if (!box) return null;
    return [
      view[0] + ((event.clientX - box.left) / box.width) * view[2],
      view[1] + ((event.clientY - box.top) / box.height) * view[3],
    ] as const;
  };
  const turn = (stage: DriveLineShapes["stages"][number]) => (event: React.PointerEvent) => {
    const to = event.buttons === 1 ? toSheet(event) : null;
    if (!to || !onTurn) return;
    const now = Math.atan2(stage.driven[1] - stage.at[1], stage.driven[0] - stage.at[0]);
    const wanted = Math.atan2(to[1] - stage.at[1], to[0] - stage.at[0]);
    onTurn(
      stage.id,
      Math.round(((((stage.angleDeg + ((wanted - now) * 180) / Math.PI + 540) % 360) + 360) % 360) - 180),
    );
  };
  return (
    <svg
      ref={sheet}
      viewBox={view.join(" ")}
      width={view[2] * scale}
      height={view[3] * scale}
      className="max-w-full h-auto touch-pan-y"
      role="img"
      aria-label={label}
    >
      {inPaintOrder(drawn.stages, stages).map((stage) => (
        <g
          key={stage.id}
          transform={`translate(${stage.at[0]} ${stage.at[1]}) rotate(${stage.angleDeg}) translate(${-stage.pivot[0]} ${-stage.pivot[1]})`}
          opacity={chosen === null || chosen === stage.id ? 1 : 0.45}
          onPointerDown={() => onChoose?.(stage.id)}
        >
          <Shapes shapes={stage.shapes} />
        </g>
      ))}
      {sources.map((source) => {
        const at = placeOf(source.id);
        return at && <SourceMark key={source.id} at={at} scale={scale} />;
      })}
      {labels.map(({ id, text, x, row }) => {
        const to = named.find((label) => label.id === id)?.y ?? 0;
        const y = (top - pad) * scale - row * rowPx - 6;
        return (
          <g key={id} transform={`scale(${1 / scale})`}>
            <path d={`M${x} ${y - 14}V${to * scale}`} className="stroke-rule fill-none" strokeWidth="1.2" />
            <text x={x + 5} y={y} fontSize="16" className="fill-ink font-semibold">
              {text}
            </text>
          </g>
        );
      })}
      {drawn.stages.map((stage) => (
        <g key={stage.id} transform={`translate(${stage.driven[0]} ${stage.driven[1]}) scale(${1 / scale})`}>
          <MarkShape state={stateOf(stage.id)} x={0} y={0} r={7} />
          {onTurn && (
            <circle
              r="22"
              className={`fill-transparent cursor-grab ${chosen === stage.id ? "stroke-now" : "stroke-transparent"}`}
              strokeWidth="2.5"
              onPointerDown={(event) => {
                event.currentTarget.setPointerCapture(event.pointerId);
                onChoose?.(stage.id);
              }}
              onPointerMove={turn(stage)}
            />
          )}
        </g>
      ))}
    </svg>
  );
}

/** Later stages under earlier ones, and on top of all those whose axes lie across the sheet or that hide their insides. */
function inPaintOrder(drawn: DriveLineShapes["stages"], stages: readonly PicturedStage[]): DriveLineShapes["stages"] {
  const onTop = (id: string) => (stages.find((stage) => stage.id === id)?.onTop ? 1 : 0);
  return [...drawn].reverse().sort((a, b) => onTop(a.id) - onTop(b.id));
}

/** A motor: a square on its shaft, so that the beginning is seen. */
function SourceMark({ at, scale }: { at: readonly [number, number]; scale: number }) {
  return (
    <g transform={`translate(${at[0]} ${at[1]}) scale(${1 / scale})`}>
      <path d="M-7 -7H7V7H-7Z" className="fill-ink stroke-ink" />
    </g>
  );
}
