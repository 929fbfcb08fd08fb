import { useEffect, useState } from "react";
import { useFetcher } from "react-router";
import { v7 } from "uuid";
import type { Refusal } from "~/core/quantity";
import { Button } from "~/ui/button";
import { Dialog } from "~/ui/dialog";
import { Select, TextArea } from "~/ui/field";
import { Refused } from "../words/refused";
import type { GivenWork, Someone } from "./given-work";

/** To whom, and what whoever takes it on has to know. */
export function GiveBox({
  of,
  label,
  to,
  people,
  open,
  setOpen,
}: {
  of: GivenWork;
  label: string;
  to: Someone | null;
  people: readonly Someone[];
  open: boolean;
  setOpen: (open: boolean) => void;
}) {
  const fetcher = useFetcher<{ refusal?: Refusal; done?: boolean }>();
  const [id] = useState(() => v7());
  const done = fetcher.data?.done;
  useEffect(() => {
    if (done) setOpen(false);
  }, [done, setOpen]);
  const refusal = fetcher.data?.refusal;
  const busy = fetcher.state !== "idle";
  return (
    <Dialog title={label} open={open} onOpenChange={setOpen}>
      <fetcher.Form method="post" action="/plan/give" className="grid gap-4" aria-label="Give to somebody">
        <input type="hidden" name="id" value={id} />
        {Object.entries(of).map(([name, value]) => (
          <input key={name} type="hidden" name={name} value={value} />
        ))}
        <Select label="To whom" name="personId" defaultValue={to?.id ?? ""} required={to === null}>
          <option value="">{to ? "nobody any more" : "choose"}</option>
          {people.map((person) => (
            <option key={person.id} value={person.id}>
              {person.name}
            </option>
          ))}
        </Select>
        <TextArea
          label="Handover note"
          name="note"
          rows={3}
          hint="What the next one has to know: where it stands, what to watch, what is missing"
        />
        {refusal && (
          <p role="alert" className="text-outside font-semibold">
            <Refused refusal={refusal} />
          </p>
        )}
        <Button kind="now" large type="submit" disabled={busy}>
          Give it
        </Button>
        <p className="text-mid">It stands in the logbook with your name, until the job is signed or given on.</p>
      </fetcher.Form>
    </Dialog>
  );
}
