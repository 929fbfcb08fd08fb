import { DndContext, PointerSensor, useDraggable, useSensor, useSensors } from "@dnd-kit/core";
import { type KeyboardEvent, useId, useRef, useState } from "react";
import { lengthWords } from "~/app/features/words/spoken";
import { useWords } from "~/app/features/words/use-words";
import { boxRound, circle, type StageShapes } from "~/core/drawing";
import { type BeltElement, type ChainElement, type Idler, runDiameters, stageShapes } from "~/core/stages";
import { Shapes } from "../../drawing/shapes-drawing";
import { numberText } from "../../form/number-text";
import { TextReader } from "../../form/text-reader";
import { useFormTexts, useWriteTexts } from "../../form/use-form-texts";
import { idlerFigures } from "./idlers";

type Box = StageShapes["box"];

const tallestPx = 260;
const widestPx = 440;

/** A belt or chain to scale, whose idlers are dragged, or moved by the arrows; their fields follow, and with them all that is said of it. */
export function IdlerDrawing({ element, label }: { element: BeltElement | ChainElement; label: string }) {
  const reader = useWords();
  const texts = useFormTexts();
  const write = useWriteTexts();
  const sheet = useRef<SVGSVGElement>(null);
  // While one is dragged the sheet stays as it is under it.
  const [dragged, setDragged] = useState<{ from: Idler; box: Box } | null>(null);
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 2 } }));
  const rows = new TextReader(texts).rows("idlers", idlerFigures);
  const drawn = stageShapes(element);
  const box = dragged?.box ?? roomy(drawn?.box ?? boxOf(element));
  const [width, height] = [box.right - box.left, box.bottom - box.top];
  const scale = Math.min(widestPx / width, tallestPx / height, 4);
  const place = (number: number, x: number, y: number) => {
    const row = rows[number];
    const strand = element.idlers[number]?.strand ?? "lower";
    if (row === undefined) return;
    const said = (mm: number) => numberText(reader, mm, 1);
    write({ [`${row}.x`]: said(x), [`${row}.y`]: said(y), [`${row}.press`]: "", [`${row}.strand`]: strand });
  };
  return (
    <DndContext
      id={useId()}
      sensors={sensors}
      accessibility={{ announcements: announced, screenReaderInstructions: { draggable: "Arrow keys move it." } }}
      onDragStart={({ active }) => {
        const from = element.idlers[Number(active.id)];
        if (from) setDragged({ from, box });
      }}
      onDragMove={({ active, delta }) => {
        const pxPerMm = (sheet.current?.clientWidth ?? widestPx) / width;
        if (dragged) place(Number(active.id), dragged.from.x + delta.x / pxPerMm, dragged.from.y - delta.y / pxPerMm);
      }}
      onDragEnd={() => setDragged(null)}
      onDragCancel={() => setDragged(null)}
    >
      <figure className="bg-panel p-3 grid grid-cols-[minmax(0,1fr)] justify-items-center gap-2">
        <div className="relative" style={{ width: width * scale, maxWidth: "100%" }}>
          <svg
            ref={sheet}
            viewBox={`${box.left} ${box.top} ${width} ${height}`}
            role="img"
            aria-label={label}
            className="block w-full h-auto"
          >
            <Shapes shapes={drawn?.shapes ?? wheelsOf(element)} />
          </svg>
          {rows.length === element.idlers.length &&
            element.idlers.map((idler, number) => (
              <Handle
                key={rows[number]}
                number={number}
                said={`Idler ${number + 1} at x ${lengthWords(reader, idler.x, 1)}, y ${lengthWords(reader, idler.y, 1)}: drag it, or arrow keys`}
                at={{
                  left: `${(100 * (idler.x - box.left)) / width}%`,
                  top: `${(100 * (-idler.y - box.top)) / height}%`,
                }}
                onStep={(dx, dy) => place(number, idler.x + dx, idler.y + dy)}
              />
            ))}
        </div>
        {element.idlers.length > 0 && (
          <figcaption className="text-mid">
            Drag an idler, or move it by the arrow keys: {lengthWords(reader, 1, 1)} a press, a tenth of it with Shift.
          </figcaption>
        )}
      </figure>
    </DndContext>
  );
}

/** Its own name says where it stands. */
const named = ({ active }: { active: { id: string | number } }) => `Idler ${Number(active.id) + 1}`;
const announced = {
  onDragStart: (event: Parameters<typeof named>[0]) => `${named(event)} taken up.`,
  onDragOver: () => undefined,
  onDragEnd: (event: Parameters<typeof named>[0]) => `${named(event)} put down.`,
  onDragCancel: (event: Parameters<typeof named>[0]) => `${named(event)} left where it is.`,
};

const steps: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, 1],
  ArrowDown: [0, -1],
};

function Handle({
  number,
  said,
  at,
  onStep,
}: {
  number: number;
  said: string;
  at: { left: string; top: string };
  onStep: (dx: number, dy: number) => void;
}) {
  const { setNodeRef, listeners, isDragging } = useDraggable({ id: String(number) });
  const onKeyDown = (event: KeyboardEvent) => {
    const step = steps[event.key];
    if (!step) return;
    event.preventDefault();
    const by = event.shiftKey ? 0.1 : 1;
    onStep(by * step[0], by * step[1]);
  };
  return (
    <button
      type="button"
      ref={setNodeRef}
      {...listeners}
      onKeyDown={onKeyDown}
      aria-label={said}
      style={at}
      className={`absolute -translate-x-1/2 -translate-y-1/2 size-11 rounded-full border-2 border-now text-now font-bold touch-none ${isDragging ? "cursor-grabbing bg-rule/60" : "cursor-grab"}`}
    >
      <span className="absolute -top-3 -right-2.5">{number + 1}</span>
    </button>
  );
}

/** Where there is no path: the wheels and idlers without belt or chain. */
const wheelsOf = (element: BeltElement | ChainElement) =>
  roundsOf(element).map(({ at, radius }) => ({ role: "body", d: circle(at, radius) }) as const);

const boxOf = (element: BeltElement | ChainElement): Box => boxRound(roundsOf(element));

const roundsOf = (element: BeltElement | ChainElement) => {
  const [driver, driven] = runDiameters(element);
  return [
    { at: [0, 0] as const, radius: driver / 2 },
    { at: [element.centreDistanceMm, 0] as const, radius: driven / 2 },
    ...element.idlers.map(({ x, y, diameterMm }) => ({ at: [x, -y] as const, radius: diameterMm / 2 })),
  ];
};

/** With room to move things in. */
function roomy({ left, top, right, bottom }: Box): Box {
  const pad = 0.06 * (right - left);
  return { left: left - pad, top: top - pad, right: right + pad, bottom: bottom + pad };
}
