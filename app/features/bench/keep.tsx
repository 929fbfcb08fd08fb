import { useState } from "react";
import { Link, useFetcher } from "react-router";
import { v7 } from "uuid";
import type { Refusal } from "~/core/quantity";
import type { StageChoice } from "~/data/queries/floor";
import { Button } from "~/ui/button";
import { Field } from "~/ui/field";
import { PickList } from "~/ui/pick-list";
import { Refused } from "../words/refused";
import type { FoundPart } from "./bench-tool";

type Kept = { tool: string; input: unknown; said: string; part: FoundPart | null };

/** Keeps what was found in the logbook of a stage; where it is a part, it goes into the stores, or stays open as an order. */
export function Keep({ tool, input, said, part }: Kept) {
  const finder = useFetcher<{ stages: StageChoice[] }>();
  const keeper = useFetcher<{ refusal?: Refusal; done?: boolean }>();
  const [chosen, setChosen] = useState<StageChoice | null>(null);
  const [id, setId] = useState(() => v7());
  const [keptOn, setKeptOn] = useState<StageChoice | null>(null);
  const [seen, setSeen] = useState(keeper.data);
  if (keeper.data !== seen) {
    setSeen(keeper.data);
    if (keeper.data?.done) {
      setKeptOn(chosen);
      setId(v7());
    }
  }
  const found = finder.data?.stages ?? [];
  return (
    <details className="border-t border-rule pt-2">
      <summary className="min-h-11 content-center cursor-pointer font-semibold underline">Keep it on a stage</summary>
      <finder.Form method="get" action="/bench/stages" className="flex gap-3 items-end mb-3">
        <Field label="Stage, machine or tag" name="q" type="search" className="grow max-w-sm" autoComplete="off" />
        <Button type="submit" large>
          Find
        </Button>
      </finder.Form>
      {finder.data && found.length === 0 && <p>No stage fits that.</p>}
      {found.length > 0 && (
        <PickList
          legend="Stages found"
          value={chosen?.id ?? null}
          onChange={(id) => setChosen(found.find((stage) => stage.id === id) ?? null)}
          options={found.map((stage) => ({
            value: stage.id,
            label: (
              <>
                {stage.machineName}, {stage.name} <span className="text-mid">{stage.tag}</span>
              </>
            ),
          }))}
        />
      )}
      {chosen && (
        <Button
          kind="now"
          large
          disabled={keeper.state !== "idle"}
          onClick={() =>
            keeper.submit(
              { id, stageId: chosen.id, tool, input: JSON.parse(JSON.stringify(input)), text: said.slice(0, 400) },
              { method: "post", action: "/bench/keep", encType: "application/json" },
            )
          }
        >
          Keep it on {chosen.name}
        </Button>
      )}
      {chosen && part && <Order part={part} stage={chosen} />}
      {keeper.data?.refusal && (
        <p role="alert" className="text-outside font-semibold">
          <Refused refusal={keeper.data.refusal} />
        </p>
      )}
      {keptOn && keeper.data?.done && (
        <p role="status">
          Kept in the logbook of{" "}
          <Link to={`/machines/${keptOn.machineId}`}>
            {keptOn.machineName}, {keptOn.name}
          </Link>
          . A photograph of it is added there, under Photographs and files.
        </p>
      )}
      {part && (
        <p className="mt-3">
          <Link to={`/stores/new?${new URLSearchParams({ kind: "gear", name: part.name, ...part.figures })}`}>
            Into the stores as {part.name}
          </Link>
        </p>
      )}
    </details>
  );
}

/** A part that is to be ordered, as an open point of the stage it is for. */
function Order({ part, stage }: { part: FoundPart; stage: StageChoice }) {
  const order = useFetcher<{ refusal?: Refusal; done?: boolean }>();
  const [id] = useState(() => v7());
  const text = `Order for the ${stage.name.toLowerCase()}: ${part.name}`;
  return (
    <div className="grid gap-2 my-3">
      {order.data?.done ? (
        <p role="status">Stands open: {text}.</p>
      ) : (
        <div>
          <Button
            disabled={order.state !== "idle"}
            onClick={() =>
              order.submit(
                { what: "open", id, machineId: stage.machineId, stageId: stage.id, text },
                { method: "post", action: "/points" },
              )
            }
          >
            Leave an order open: {part.name}
          </Button>
        </div>
      )}
      {order.data?.refusal && (
        <p role="alert" className="text-outside font-semibold">
          <Refused refusal={order.data.refusal} />
        </p>
      )}
    </div>
  );
}
