import { useEffect, useState } from "react";
import { Link, useFetcher } from "react-router";
import { useWords } from "~/app/features/words/use-words";
import type { Refusal } from "~/core/quantity";
import { Button, buttonClass } from "~/ui/button";
import { Dialog } from "~/ui/dialog";
import { Field } from "~/ui/field";
import { noteSignedOut } from "../identity/tabs";
import { forgetPerson } from "../offline/forget-person";
import { layOut, useSimulatedInstruments } from "../practice/switch";
import { refusalWords } from "../words/refusal";
import { RoomSwitch } from "./room-switch";

/** Behind the name: the way to hand the tablet over, to the account and out. */
export function PersonBox({
  person,
  open,
  setOpen,
}: {
  person: { id: string; name: string; role: string; practising: boolean };
  open: boolean;
  setOpen: (open: boolean) => void;
}) {
  const simulated = useSimulatedInstruments();
  return (
    <Dialog title={person.name} open={open} onOpenChange={setOpen}>
      {person.practising ? (
        <p className="text-lg">Leave the practice to hand the tablet over, or to change the account.</p>
      ) : (
        <HandOver present={person.id} done={() => setOpen(false)} />
      )}
      <nav aria-label="Account" className="flex flex-wrap gap-3 border-t border-rule pt-4 mt-5">
        {!person.practising && (
          <Link to="/account" className={buttonClass("line")} onClick={() => setOpen(false)}>
            Account
          </Link>
        )}
        <Link to="/practice" className={buttonClass("line")} onClick={() => setOpen(false)}>
          Practice
        </Link>
        {person.role === "lead" && (
          <Link to="/people" className={buttonClass("line")} onClick={() => setOpen(false)}>
            People
          </Link>
        )}
        <Button aria-pressed={simulated} onClick={() => layOut(!simulated)}>
          {simulated ? "Put the simulated instruments away" : "Lay out simulated instruments"}
        </Button>
        <RoomSwitch />
        <form method="post" action="/sign-out" onSubmit={() => leave(person.id)}>
          <input type="hidden" name="by" value={person.id} />
          <Button kind="quiet" type="submit">
            Sign out
          </Button>
        </form>
      </nav>
    </Dialog>
  );
}

/** What this one saw goes from the tablet, and the other tabs learn of it. */
function leave(personId: string): void {
  forgetPerson(personId);
  noteSignedOut();
}

type Others = { people: { id: string; name: string }[] };

/** Somebody else takes over the tablet by their PIN; the page stays where it is. */
function HandOver({ present, done }: { present: string; done: () => void }) {
  const reader = useWords();
  const known = useFetcher<Others>();
  const sent = useFetcher<{ refusal?: Refusal; personId?: string }>();
  const [chosen, setChosen] = useState("");
  const [pin, setPin] = useState("");
  const { load } = known;
  useEffect(() => {
    load("/account/switch");
  }, [load]);
  const taken = sent.state === "idle" && sent.data?.personId !== undefined;
  useEffect(() => {
    if (taken) done();
  }, [taken, done]);
  const others = known.data?.people.filter(({ id }) => id !== present) ?? [];
  if (known.data && others.length === 0)
    return (
      <p className="text-lg">
        Nobody else has a PIN. Who sets one under Account takes over a shared tablet without signing out.
      </p>
    );
  const hand = (event: React.FormEvent) => {
    event.preventDefault();
    sent.submit({ id: chosen, pin }, { method: "post", action: "/account/switch", encType: "application/json" });
    setPin("");
  };
  const refusal = sent.state === "idle" ? sent.data?.refusal : undefined;
  return (
    <form onSubmit={hand} className="grid gap-4">
      <fieldset>
        <legend className="font-semibold mb-2">Hand the tablet over to</legend>
        <div className="flex flex-wrap gap-2">
          {others.map(({ id, name }) => (
            <button
              key={id}
              type="button"
              aria-pressed={chosen === id}
              className={`min-h-14 px-4 font-semibold border-2 border-ink cursor-pointer ${chosen === id ? "bg-ink text-panel" : "bg-panel"}`}
              onClick={() => setChosen(id)}
            >
              {name}
            </button>
          ))}
        </div>
      </fieldset>
      {chosen !== "" && (
        <div className="flex flex-wrap gap-3 items-start">
          <Field
            key={chosen}
            label="Their PIN"
            type="password"
            inputMode="numeric"
            autoComplete="off"
            autoFocus
            value={pin}
            onChange={(event) => setPin(event.target.value)}
            error={refusal && refusalWords(reader, refusal)}
          />
          <Button kind="solid" large type="submit" className="mt-7" disabled={sent.state !== "idle" || pin === ""}>
            Take over
          </Button>
        </div>
      )}
    </form>
  );
}
