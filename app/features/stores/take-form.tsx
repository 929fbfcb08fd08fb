import { useEffect, useState } from "react";
import { useFetcher } from "react-router";
import { v7 } from "uuid";
import type { Refusal } from "~/core/quantity";
import type { StoreItem } from "~/core/records";
import { Button } from "~/ui/button";
import { Refused } from "../words/refused";

type Answer = { refusal?: Refusal; count?: number };

/** Takes one or puts one back by a touch, or as many as are typed. */
export function TakeForm({ item }: { item: StoreItem }) {
  const fetcher = useFetcher<Answer>();
  const [movement, setMovement] = useState(() => v7());
  const [many, setMany] = useState("1");
  const answer = fetcher.state === "idle" ? fetcher.data : undefined;
  useEffect(() => {
    if (answer) setMovement(v7());
  }, [answer]);
  const move = (sign: 1 | -1) => {
    const pieces = Number.parseInt(many, 10);
    fetcher.submit(
      { id: movement, change: sign * (Number.isNaN(pieces) ? 0 : Math.abs(pieces)), why: "" },
      { method: "post", action: `/stores/items/${item.id}`, encType: "application/json" },
    );
  };
  return (
    <div className="grid justify-items-end gap-1">
      <div className="flex gap-2 items-center">
        <label>
          <span className="sr-only">Pieces of {item.name}</span>
          <input
            className="figure w-16 min-h-12 px-2 text-lg text-center bg-panel border-2 border-ink"
            inputMode="numeric"
            value={many}
            onChange={(event) => setMany(event.target.value)}
          />
        </label>
        <Button
          className="min-h-12"
          onClick={() => move(-1)}
          disabled={fetcher.state !== "idle"}
          aria-label={`Take ${item.name}`}
        >
          Take
        </Button>
        <Button
          className="min-h-12"
          onClick={() => move(1)}
          disabled={fetcher.state !== "idle"}
          aria-label={`Put back ${item.name}`}
        >
          Put back
        </Button>
      </div>
      {answer?.refusal && (
        <p role="alert" className="text-outside font-semibold">
          <Refused refusal={answer.refusal} />
        </p>
      )}
    </div>
  );
}
