import { useState } from "react";
import { useFetcher } from "react-router";
import { v7 } from "uuid";
import { formatNumber } from "~/app/features/words/figure";
import { useWords } from "~/app/features/words/use-words";
import { type Entry, isKind } from "~/core/logbook";
import type { Refusal } from "~/core/quantity";
import type { Machine } from "~/core/records";
import { Button } from "~/ui/button";
import { Field } from "~/ui/field";
import { Refused } from "../words/refused";
import { day } from "../words/times";

/** The machine's meter: what it showed over time, and a new reading. One that runs backwards is asked about, never guessed. */
export function UsageMeter({
  machine,
  readings,
  mayRead,
}: {
  machine: Machine;
  readings: readonly Entry[];
  mayRead: boolean;
}) {
  const reader = useWords();
  const unit = machine.usageUnit;
  return (
    <section aria-labelledby="meter">
      <h2 id="meter" className="text-xl font-bold">
        Meter
      </h2>
      <ul className="mb-2">
        {readings.filter(isKind("usage")).map((entry) => (
          <li key={entry.id} className="flex gap-4 border-t border-rule py-1">
            <span className="text-mid w-44">{day(reader, entry.madeAt)}</span>
            <span className="figure">
              {formatNumber(reader, entry.body.reading, 0)} {unit}
            </span>
            {entry.body.newMeter && (
              <span className="text-mid">new meter, {formatNumber(reader, entry.body.total, 0)} in all</span>
            )}
          </li>
        ))}
        {readings.length === 0 && <li className="text-mid">Never read. A first reading stands for all it has run.</li>}
      </ul>
      {mayRead && <NewReading machine={machine} />}
    </section>
  );
}

function NewReading({ machine }: { machine: Machine }) {
  const fetcher = useFetcher<{ refusal?: Refusal; done?: boolean }>();
  const [id, setId] = useState(() => v7());
  const refusal = fetcher.data?.refusal;
  const backwards = refusal?.code === "meter-backwards" || refusal?.path[0] === "newMeterFrom";
  const [shown, setShown] = useState(fetcher.data);
  if (fetcher.data !== shown) {
    setShown(fetcher.data);
    if (fetcher.data?.done) setId(v7());
  }
  return (
    <fetcher.Form method="post" className="grid gap-2" key={id}>
      <input type="hidden" name="what" value="usage" />
      <input type="hidden" name="id" value={id} suppressHydrationWarning />
      <div className="flex flex-wrap gap-3 items-end">
        <Field
          className="w-56"
          label={`Meter shows, ${machine.usageUnit}`}
          name="reading"
          inputMode="decimal"
          autoComplete="off"
          error={refusal ? <Refused refusal={refusal} /> : undefined}
        />
        {!backwards && (
          <Button large type="submit" disabled={fetcher.state !== "idle"}>
            Log it
          </Button>
        )}
      </div>
      {backwards && (
        <div className="border-l-4 border-near pl-3 grid gap-2">
          <p>A slip: type it again above. A new meter: say where that one began.</p>
          <Field
            className="w-56"
            label="The new meter began at"
            name="newMeterFrom"
            inputMode="decimal"
            defaultValue="0"
          />
          <div className="flex flex-wrap gap-3">
            <Button type="submit" kind="solid" name="meter" value="new">
              It is a new meter
            </Button>
            <Button type="submit" name="meter" value="slip">
              It was a slip: log what stands above now
            </Button>
          </div>
        </div>
      )}
    </fetcher.Form>
  );
}
