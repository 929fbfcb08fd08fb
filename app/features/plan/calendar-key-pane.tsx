import { useState } from "react";
import { useFetcher } from "react-router";
import type { Refusal } from "~/core/quantity";
import type { CalendarKey } from "~/data/queries/calendar-keys";
import { Button } from "~/ui/button";
import { Choice } from "~/ui/choice";
import { Field } from "~/ui/field";
import { Refused } from "../words/refused";
import { agoWords } from "../words/times";
import { useWords } from "../words/use-words";

/** The address by which a calendar program follows the plan: made, shown once, and taken back. */
export function CalendarKeyPane({ known, byPin, now }: { known: CalendarKey | null; byPin: boolean; now: string }) {
  const reader = useWords();
  const fetcher = useFetcher<{ calendar?: string; refusal?: Refusal; done?: string }>();
  const [mine, setMine] = useState<"yes" | "no">("no");
  const address = fetcher.data?.calendar;
  const busy = fetcher.state !== "idle";
  return (
    <section aria-labelledby="calendar" className="grid gap-4 content-start">
      <h2 id="calendar" className="text-xl font-bold">
        The plan in your calendar program
      </h2>
      {known && (
        <p>
          An address was made {agoWords(reader, known.madeAt, now)}, for{" "}
          {known.mine ? "what is yours" : "all of the plan"};{" "}
          {known.usedAt ? `last fetched ${agoWords(reader, known.usedAt, now)}` : "it was never fetched"}.
        </p>
      )}
      {byPin ? (
        <p className="text-mid">Taken over with a PIN: such an address is made behind the password.</p>
      ) : (
        <fetcher.Form method="post" className="grid gap-3" aria-label="An address for calendar programs">
          <input type="hidden" name="what" value="calendar" />
          <Choice
            legend="What it shows"
            name="mine"
            value={mine}
            onChange={setMine}
            options={[
              { value: "no", label: "All of the plan" },
              { value: "yes", label: "What is mine" },
            ]}
          />
          <div>
            <Button kind="line" large type="submit" disabled={busy}>
              {known ? "Make another: the old one ends" : "Make an address"}
            </Button>
          </div>
        </fetcher.Form>
      )}
      {address && (
        <Field
          label="Address, shown this once"
          hint="Subscribe to it in the calendar program. Whoever has it can read the plan: it is a key."
          readOnly
          value={address}
          onFocus={(event) => event.target.select()}
        />
      )}
      {fetcher.data?.refusal && (
        <p role="alert" className="text-outside font-semibold">
          <Refused refusal={fetcher.data.refusal} />
        </p>
      )}
      {known && (
        <fetcher.Form method="post">
          <input type="hidden" name="what" value="no-calendar" />
          <Button kind="quiet" type="submit" disabled={busy}>
            Take the address back
          </Button>
        </fetcher.Form>
      )}
    </section>
  );
}
