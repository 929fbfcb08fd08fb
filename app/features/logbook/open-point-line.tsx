import { useState } from "react";
import { Link, useFetcher } from "react-router";
import { v7 } from "uuid";
import { useWords } from "~/app/features/words/use-words";
import type { Refusal } from "~/core/quantity";
import type { NamedPoint } from "~/data/queries/open-points";
import { Button } from "~/ui/button";
import { Field } from "~/ui/field";
import { pointWords } from "../words/point";
import { Refused } from "../words/refused";
import { agoWords, dateWords } from "../words/times";

/** An open point: what, where, who, since when; and the way to say that it is done. */
export function OpenPointLine({
  point,
  where,
  to,
  now,
  mayClose,
}: {
  point: NamedPoint;
  where: string;
  to?: string;
  now: string;
  mayClose: boolean;
}) {
  const reader = useWords();
  const words = pointWords(reader, point);
  const [closing, setClosing] = useState(false);
  return (
    <li className="py-2 border-t border-rule">
      <div className="flex gap-3 items-start">
        <p className="grow">
          <span className="font-semibold">{words}</span>
          <span className="text-mid block">
            {where && (to ? <Link to={to}>{where}</Link> : where)}
            {where && ", "}
            {point.openedByName}, {agoWords(reader, point.openedAt, now)}
            {point.dueOn && `; by ${dateWords(reader, point.dueOn)}`}
          </span>
        </p>
        {mayClose && !closing && (
          <Button kind="quiet" onClick={() => setClosing(true)} aria-label={`Close: ${words}`}>
            Done
          </Button>
        )}
      </div>
      {closing && <Close pointId={point.id} onLeave={() => setClosing(false)} />}
    </li>
  );
}

function Close({ pointId, onLeave }: { pointId: string; onLeave: () => void }) {
  const fetcher = useFetcher<{ refusal?: Refusal }>();
  const [id] = useState(() => v7());
  return (
    <fetcher.Form method="post" action="/points" className="grid gap-2 pt-2">
      <input type="hidden" name="what" value="close" />
      <input type="hidden" name="id" value={id} />
      <input type="hidden" name="pointId" value={pointId} />
      <Field
        label="How was it done?"
        name="text"
        autoFocus
        error={fetcher.data?.refusal && <Refused refusal={fetcher.data.refusal} />}
      />
      <div className="flex gap-3">
        <Button kind="solid" type="submit" disabled={fetcher.state !== "idle"}>
          Close this point
        </Button>
        <Button kind="quiet" onClick={onLeave}>
          Leave it open
        </Button>
      </div>
    </fetcher.Form>
  );
}
