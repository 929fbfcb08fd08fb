import { useState } from "react";
import { useFetcher } from "react-router";
import { v7 } from "uuid";
import type { Refusal } from "~/core/quantity";
import { Button } from "~/ui/button";
import { DateField } from "~/ui/date-field";
import { Field } from "~/ui/field";
import { Refused } from "../words/refused";

/** When the stage is to be looked at next, and what for. */
export function PlanVisit({ nextDate, plan }: { nextDate: string | null; plan: string }) {
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
  return (
    <section aria-labelledby="plan">
      <h2 id="plan" className="text-xl font-bold">
        Next visit
      </h2>
      <fetcher.Form method="post" className="flex flex-wrap gap-3 items-end">
        <input type="hidden" name="what" value="plan" />
        <input type="hidden" name="id" value={id} suppressHydrationWarning />
        <DateField label="On" name="date" value={date} onChange={setDate} />
        <Field label="What for" name="text" className="grow" defaultValue={plan} key={`p${plan}`} autoComplete="off" />
        <Button type="submit" large disabled={fetcher.state !== "idle"}>
          Plan it
        </Button>
      </fetcher.Form>
      {fetcher.data?.refusal && (
        <p role="alert" className="text-outside font-semibold">
          <Refused refusal={fetcher.data.refusal} />
        </p>
      )}
    </section>
  );
}
