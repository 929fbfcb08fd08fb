import { useState } from "react";
import { useFetcher } from "react-router";
import { v7 } from "uuid";
import type { Refusal } from "~/core/quantity";
import type { UsageUnit } from "~/core/records";
import { Button } from "~/ui/button";
import { DateField } from "~/ui/date-field";
import { Field } from "~/ui/field";
import { formatNumber } from "../words/figure";
import { Refused } from "../words/refused";
import { dateWords } from "../words/times";
import { useWords } from "../words/use-words";

type Planned = { nextDate: string | null; nextUsage: number | null; nextUsageOn: string | null; plan: string };

/** When the stage is to be looked at next, by day or after so much running, and what for. */
export function PlanVisit({ planned: known, unit }: { planned: Planned | null; unit: UsageUnit }) {
  const reader = useWords();
  const { nextDate, nextUsage, nextUsageOn, plan } = known ?? nothingPlanned;
  const fetcher = useFetcher<{ refusal?: Refusal; done?: boolean }>();
  const [id, setId] = useState(() => v7());
  const [date, setDate] = useState(nextDate ?? "");
  const [planned, setPlanned] = useState(nextDate);
  if (planned !== nextDate) {
    setPlanned(nextDate);
    setDate(nextDate ?? "");
  }
  const [seen, setSeen] = useState(fetcher.data);
  if (fetcher.data !== seen) {
    setSeen(fetcher.data);
    if (fetcher.data?.done) setId(v7());
  }
  const refusal = fetcher.data?.refusal;
  const ofUsage = refusal?.path[0] === "afterUsage";
  return (
    <section aria-labelledby="plan">
      <h2 id="plan" className="text-xl font-bold">
        Next visit
      </h2>
      {nextUsage !== null && (
        <p className="text-lg">
          When the meter has run to {formatNumber(reader, nextUsage, 0)} {unit} in all:{" "}
          {nextUsageOn ? `about ${dateWords(reader, nextUsageOn)}, at the rate so far` : "when, is not known"}
        </p>
      )}
      <fetcher.Form method="post" className="flex flex-wrap gap-3 items-end">
        <input type="hidden" name="what" value="plan" />
        <input type="hidden" name="id" value={id} suppressHydrationWarning />
        <DateField label="On" name="date" value={date} onChange={setDate} />
        <Field
          label={`Or after so many ${unit}`}
          name="afterUsage"
          className="w-44"
          inputMode="decimal"
          autoComplete="off"
          key={`u${nextUsage}`}
          error={ofUsage && refusal ? <Refused refusal={refusal} /> : undefined}
        />
        <Field label="What for" name="text" className="grow" defaultValue={plan} key={`p${plan}`} autoComplete="off" />
        <Button type="submit" large disabled={fetcher.state !== "idle"}>
          Plan it
        </Button>
      </fetcher.Form>
      {refusal && !ofUsage && (
        <p role="alert" className="text-outside font-semibold">
          <Refused refusal={refusal} />
        </p>
      )}
    </section>
  );
}

const nothingPlanned: Planned = { nextDate: null, nextUsage: null, nextUsageOn: null, plan: "" };
