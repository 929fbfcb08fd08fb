import { lazy, Suspense, useRef } from "react";
import { Link } from "react-router";
import { buttonClass } from "~/ui/button";
import { Fold } from "~/ui/fold";
import { useRoom } from "~/ui/use-room";
import { ShapesDrawing } from "../drawing/shapes-drawing";
import { SavePicture } from "../export/save-picture";
import type { ShownStage } from "../machine/shown-stage";
import { StageCell } from "../stage/stage-cell";
import { Refused } from "../words/refused";
import { DrivePicture } from "./drive-picture";
import type { ShownLine } from "./shown-line";

const LineFigures = lazy(() => import("./line-figures"));

/** A machine's stages: the drive line to scale where it is known, each stage with its state, and what the line adds up to. */
export function DriveLine({
  line,
  stages,
  edit,
}: {
  line: ShownLine | null;
  stages: readonly ShownStage[];
  /** The machine's address, for who may change it; null: not. */
  edit: string | null;
}) {
  const picture = useRef<HTMLDivElement>(null);
  const room = useRoom(picture);
  return (
    <section aria-labelledby="drive-line" className="grid gap-5">
      <div className="flex flex-wrap gap-3 items-center justify-between">
        <h2 id="drive-line" className="text-xl font-bold">
          Drive line
        </h2>
        {edit && (
          <Link to={`${edit}/drive-line`} className="text-ink min-h-11 inline-flex items-center">
            {line ? "Change the drive line" : "Set up the drive line"}
          </Link>
        )}
      </div>
      {line && (
        <div ref={picture}>
          <DrivePicture
            drawn={line.drawn}
            room={room}
            sources={line.graph.sources}
            stages={stages}
            stateOf={(id) => stages.find((stage) => stage.id === id)?.state ?? "unknown"}
            label={`Drive line to scale, ${line.graph.links.length} stages`}
          />
        </div>
      )}
      <ol
        className={`grid grid-cols-[repeat(auto-fill,minmax(11.5rem,1fr))] gap-x-8 gap-y-4 ${line ? "items-start" : "items-end"}`}
        aria-label="Stages"
      >
        {stages.map(({ alone, onTop: _, opening: __, ...glance }) => (
          <li key={glance.id}>
            {alone && (
              <Link to={`/stages/${glance.id}`} className="block">
                <ShapesDrawing
                  drawn={alone.drawn}
                  fit={{ widthPx: 180, heightPx: 110 }}
                  label={`${glance.name} to scale: ${alone.words}`}
                />
              </Link>
            )}
            <StageCell {...glance} />
          </li>
        ))}
      </ol>
      {line && !line.solved.ok && (
        <p role="status" className="border-l-4 border-outside pl-3 text-lg">
          <Refused refusal={line.solved.refusal} />
        </p>
      )}
      {(edit || line) && (
        <p className="flex flex-wrap gap-4 items-center">
          {edit && (
            <Link to={`${edit}/stages/new`} className={buttonClass("quiet")}>
              Add a stage
            </Link>
          )}
          {line && <SavePicture of={picture} name="Drive line" />}
        </p>
      )}
      {line?.solved.ok && (
        <Fold summary="Speeds, torque, directions, lost motion">
          <Suspense
            fallback={
              <p className="text-mid pt-3" aria-busy="true">
                Working it out …
              </p>
            }
          >
            <LineFigures line={line.solved.value} graph={line.graph} stages={line.stages} />
          </Suspense>
        </Fold>
      )}
    </section>
  );
}
