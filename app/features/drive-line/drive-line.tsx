import { lazy, Suspense, useRef } from "react";
import { Link } from "react-router";
import { elementWords } from "~/app/features/kinds";
import { useWords } from "~/app/features/words/use-words";
import type { Machine } from "~/core/records";
import type { KeptDriveLine } from "~/core/stages";
import { buttonClass } from "~/ui/button";
import { Fold } from "~/ui/fold";
import { StageDrawing } from "../drawing/stage-drawing";
import { SavePicture } from "../export/save-picture";
import { StageCell } from "../stage/stage-cell";
import { glanceOf } from "../stage/stage-glance";
import { Refused } from "../words/refused";
import { DrivePicture } from "./drive-picture";
import { type StageStands, solveDriveLine } from "./solve";

const LineFigures = lazy(() => import("./line-figures"));

/** A machine's stages: the drive line to scale where it is known, each stage with its state, and what the line adds up to. */
export function DriveLine({
  machine,
  graph,
  stages,
  mayEdit,
}: {
  machine: Pick<Machine, "id" | "units">;
  graph: KeptDriveLine | null;
  stages: readonly StageStands[];
  mayEdit: boolean;
}) {
  const reader = useWords();
  const picture = useRef<HTMLDivElement>(null);
  const all = stages.map(({ stage }) => stage);
  const solved = graph && graph.links.length > 0 ? solveDriveLine(graph, stages) : null;
  const edit = mayEdit && (
    <Link to={`/machines/${machine.id}/drive-line`} className={buttonClass("line")}>
      {graph ? "Change the drive line" : "Say what drives what"}
    </Link>
  );
  return (
    <section aria-labelledby="drive-line" className="grid gap-5">
      <div className="flex flex-wrap gap-3 items-center justify-between">
        <h2 id="drive-line" className="text-xl font-bold">
          Drive line
        </h2>
        <span className="flex flex-wrap gap-3">
          {graph && <SavePicture of={picture} name="Drive line" />}
          {edit}
        </span>
      </div>
      {graph && graph.links.length > 0 && (
        <div ref={picture} className="overflow-x-auto">
          <DrivePicture
            graph={graph}
            stages={all}
            stateOf={(id) => stages.find(({ stage }) => stage.id === id)?.standing?.state ?? "unknown"}
            label={`Drive line to scale, ${graph.links.length} stages`}
          />
        </div>
      )}
      <ol
        className={`grid grid-cols-[repeat(auto-fill,minmax(11.5rem,1fr))] gap-x-8 gap-y-4 ${graph ? "items-start" : "items-end"}`}
        aria-label="Stages"
      >
        {stages.map(({ stage, standing }) => (
          <li key={stage.id}>
            {!graph?.links.some(({ stageId }) => stageId === stage.id) && (
              <Link to={`/stages/${stage.id}`} className="block">
                <StageDrawing
                  element={stage.geometry.element}
                  fit={{ widthPx: 180, heightPx: 110 }}
                  label={`${stage.name} to scale: ${elementWords(reader, stage.geometry.element)}`}
                />
              </Link>
            )}
            <StageCell {...glanceOf(reader, stage, standing)} />
          </li>
        ))}
      </ol>
      {solved && !solved.ok && (
        <p role="status" className="border-l-4 border-outside pl-3 text-lg">
          <Refused refusal={solved.refusal} />
        </p>
      )}
      {graph && solved?.ok && (
        <Fold summary="Speeds, torque, directions, lost motion">
          <Suspense fallback={<p className="text-mid pt-3">Working it out …</p>}>
            <LineFigures line={solved.value} graph={graph} stages={all} />
          </Suspense>
        </Fold>
      )}
    </section>
  );
}
