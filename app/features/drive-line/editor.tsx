import { useState } from "react";
import { elementWords } from "~/app/features/kinds";
import { useWords } from "~/app/features/words/use-words";
import { type KeptDriveLine, ratiosOf } from "~/core/stages";
import { Button } from "~/ui/button";
import { Field, Select } from "~/ui/field";
import { TextField } from "../form/text-field";
import { useFormTexts, useWriteTexts } from "../form/use-form-texts";
import { refusalWords } from "../words/refusal";
import { Beside } from "./beside";
import { drawnLine, pictured } from "./drawn-line";
import { DrivePicture } from "./drive-picture";
import { changeLink, driveStage, withFigures } from "./edit";
import { OutputPane } from "./output-pane";
import { ShaftTable } from "./shaft-table";
import { type StageStands, solveDriveLine } from "./solve";

type Props = {
  graph: KeptDriveLine;
  onGraph: (graph: KeptDriveLine) => void;
  stages: readonly StageStands[];
};

/** What drives what, said stage by stage; drawn and worked through while one chooses, turned in the drawing by hand or by keys. */
export function DriveLineEditor({ graph, onGraph, stages }: Props) {
  const texts = useFormTexts();
  const reader = useWords();
  const [chosen, setChosen] = useState<string | null>(null);
  const all = stages.map(({ stage }) => stage);
  const drives = all.filter(({ geometry }) => ratiosOf(geometry.element).length > 0);
  const figured = withFigures(graph, texts);
  const line = figured.ok ? figured.value : graph;
  const solved = solveDriveLine(line, stages);
  const turn = (stageId: string, angleDeg: number) => onGraph(changeLink(graph, stageId, { angleDeg }));
  return (
    <div className="grid gap-8">
      <div className="grid gap-8 xl:grid-cols-2">
        <div className="grid gap-8 content-start">
          <Sources graph={graph} onGraph={onGraph} />
          <section aria-labelledby="links" className="grid gap-4">
            <h2 id="links" className="text-xl font-bold">
              What drives each stage
            </h2>
            {drives.map((stage) => (
              <LinkRow key={stage.id} stage={stage} graph={graph} onGraph={onGraph} all={drives} onChoose={setChosen} />
            ))}
            {drives.length === 0 && (
              <p className="text-lg text-mid">The machine has no stage that drives anything yet.</p>
            )}
          </section>
          <Outputs graph={graph} onGraph={onGraph} stages={drives.map(({ id, name }) => ({ id, name }))} />
          <Beside graph={graph} onGraph={onGraph} />
        </div>
        <section aria-labelledby="drawn" className="grid gap-3 self-start xl:sticky xl:top-4">
          <h2 id="drawn" className="text-xl font-bold">
            As it is
          </h2>
          {!solved.ok && (
            <p role="alert" className="border-l-4 border-outside pl-3 text-lg font-semibold text-outside">
              {refusalWords(reader, solved.refusal)}
            </p>
          )}
          {solved.ok && graph.links.length === 0 && (
            <p className="text-lg text-mid border-l-4 border-rule pl-4">
              Say what each stage is driven by, and it is drawn here.
            </p>
          )}
          {solved.ok && graph.links.length > 0 && (
            <>
              <div className="bg-panel p-2 overflow-x-auto">
                <DrivePicture
                  drawn={drawnLine(line, all)}
                  sources={line.sources}
                  stages={all.map(pictured)}
                  stateOf={(id) => stages.find(({ stage }) => stage.id === id)?.standing?.state ?? "unknown"}
                  onTurn={turn}
                  onChoose={setChosen}
                  chosen={chosen}
                  widthPx={440}
                  label={`Drive line to scale, ${graph.links.length} stages`}
                />
              </div>
              <p className="text-mid">
                Drag a driven shaft to lay its stage another way, or type the angle beside it. It changes the drawing
                alone.
              </p>
            </>
          )}
        </section>
      </div>
      {solved.ok && graph.links.length > 0 && (
        <section aria-labelledby="comes-out" className="grid gap-5">
          <h2 id="comes-out" className="text-xl font-bold">
            What comes of it
          </h2>
          <ShaftTable line={solved.value} graph={line} stages={all} />
          <OutputPane
            line={solved.value}
            stages={all.map(({ id, name, geometry }) => ({ id, name, element: geometry.element }))}
          />
        </section>
      )}
    </div>
  );
}

function Sources({ graph, onGraph }: Pick<Props, "graph" | "onGraph">) {
  const write = useWriteTexts();
  const add = () => {
    const number = Math.max(...graph.sources.map(({ id }) => Number(id.split("-")[1]))) + 1;
    const source = { id: `source-${number}`, name: `Motor ${number + 1}`, rpm: null, torqueNm: null };
    onGraph({ ...graph, sources: [...graph.sources, source] });
    write({ [`${source.id}.name`]: source.name });
  };
  const remove = (id: string) =>
    onGraph({
      ...graph,
      sources: graph.sources.filter((source) => source.id !== id),
      links: graph.links.filter(({ from }) => from !== id),
    });
  return (
    <section aria-labelledby="sources" className="grid gap-3">
      <h2 id="sources" className="text-xl font-bold">
        What drives in
      </h2>
      {graph.sources.map(({ id }, i) => (
        <div key={id} className="flex flex-wrap gap-4 items-end">
          <TextField label={i === 0 ? "Motor, or what drives in" : `Source ${i + 1}`} name={`${id}.name`} />
          <TextField label="Turns a minute" className="max-w-40" name={`${id}.rpm`} />
          <TextField label="Torque, N·m" className="max-w-40" name={`${id}.torque`} />
          {i > 0 && (
            <Button kind="quiet" onClick={() => remove(id)}>
              Take out
            </Button>
          )}
        </div>
      ))}
      <div>
        <Button kind="quiet" onClick={add} disabled={graph.sources.length >= 6}>
          Another motor
        </Button>
      </div>
    </section>
  );
}

function LinkRow({
  stage,
  graph,
  onGraph,
  all,
  onChoose,
}: Pick<Props, "graph" | "onGraph"> & {
  stage: StageStands["stage"];
  all: readonly StageStands["stage"][];
  onChoose: (id: string) => void;
}) {
  const reader = useWords();
  const link = graph.links.find(({ stageId }) => stageId === stage.id);
  const ratios = ratiosOf(stage.geometry.element);
  return (
    <fieldset
      className="grid sm:grid-cols-[minmax(0,1fr)_minmax(0,1fr)_6rem] gap-4 items-end border-t border-rule pt-3"
      onFocus={() => onChoose(stage.id)}
    >
      <legend className="sr-only">{stage.name}</legend>
      <p className="sm:col-span-full -mb-2">
        <b>{stage.name}</b> <span className="text-mid">{elementWords(reader, stage.geometry.element)}</span>
      </p>
      <Select
        label={<>{stage.name} is driven by</>}
        value={link?.from ?? ""}
        onChange={(event) => onGraph(driveStage(graph, stage.id, event.target.value || null))}
      >
        <option value="">nothing: not in the drive line</option>
        {graph.sources.map(({ id, name }) => (
          <option key={id} value={id}>
            {name}
          </option>
        ))}
        {all
          .filter(({ id }) => id !== stage.id)
          .map(({ id, name }) => (
            <option key={id} value={id}>
              output of {name}
            </option>
          ))}
      </Select>
      {link && (
        <>
          <Select
            label="and drives"
            value={link.onto ?? ""}
            onChange={(event) => onGraph(changeLink(graph, stage.id, { onto: event.target.value || null }))}
          >
            <option value="">a shaft of its own</option>
            {graph.links
              .filter(({ stageId }) => stageId !== stage.id)
              .map(({ stageId }) => (
                <option key={stageId} value={stageId}>
                  the output of {all.find(({ id }) => id === stageId)?.name} as well
                </option>
              ))}
          </Select>
          <Field
            label="Laid at, °"
            type="number"
            step="5"
            value={link.angleDeg}
            onChange={(event) =>
              onGraph(
                changeLink(graph, stage.id, {
                  angleDeg: Math.max(-360, Math.min(360, Number(event.target.value) || 0)),
                }),
              )
            }
          />
          {ratios.length > 1 && (
            <Select
              label="Gear in"
              value={link.gear}
              onChange={(event) => onGraph(changeLink(graph, stage.id, { gear: Number(event.target.value) }))}
            >
              {ratios.map(({ name }, i) => (
                <option key={name} value={i}>
                  {name}
                </option>
              ))}
            </Select>
          )}
        </>
      )}
    </fieldset>
  );
}

function Outputs({
  graph,
  onGraph,
  stages,
}: Pick<Props, "graph" | "onGraph"> & { stages: readonly { id: string; name: string }[] }) {
  const write = useWriteTexts();
  const inLine = stages.filter(({ id }) => graph.links.some(({ stageId }) => stageId === id));
  const last = inLine[inLine.length - 1];
  const add = () => {
    if (!last) return;
    write({ [`output.${graph.outputs.length}.name`]: last.name });
    onGraph({
      ...graph,
      outputs: [...graph.outputs, { at: last.id, name: last.name, wheelDiameterMm: null, scale: null }],
    });
  };
  const change = (i: number, at: string) =>
    onGraph({ ...graph, outputs: graph.outputs.map((output, k) => (k === i ? { ...output, at } : output)) });
  return (
    <section aria-labelledby="outputs" className="grid gap-3">
      <h2 id="outputs" className="text-xl font-bold">
        What is taken out
      </h2>
      {graph.outputs.map((output, i) => (
        <div key={i} className="flex flex-wrap gap-4 items-end">
          <Select label={<>Output {i + 1} at</>} value={output.at} onChange={(event) => change(i, event.target.value)}>
            {[
              ...graph.sources.map(({ id, name }) => ({ id, name })),
              ...inLine.map(({ id, name }) => ({ id, name: `output of ${name}` })),
            ].map(({ id, name }) => (
              <option key={id} value={id}>
                {name}
              </option>
            ))}
          </Select>
          <TextField label="Called" name={`output.${i}.name`} />
          <TextField label="Wheel diameter, mm" className="max-w-48" name={`output.${i}.wheel`} />
          <TextField label="Scale 1 :" className="max-w-32" name={`output.${i}.scale`} />
        </div>
      ))}
      <div className="flex gap-3">
        <Button kind="quiet" onClick={add} disabled={!last}>
          Name an output
        </Button>
        {graph.outputs.length > 0 && (
          <Button kind="quiet" onClick={() => onGraph({ ...graph, outputs: graph.outputs.slice(0, -1) })}>
            Take the last one out
          </Button>
        )}
      </div>
    </section>
  );
}
