import { useState, useSyncExternalStore } from "react";
import type { Refusal } from "~/core/quantity";
import { Button, buttonClass } from "~/ui/button";
import { Dialog } from "~/ui/dialog";
import { Field } from "~/ui/field";
import { sendWaiting } from "../offline/outbox-state";
import { refusalWords } from "../words/refusal";
import { showThatItIs } from "./show-that-it-is";
import { lockedNow, onLock, unlockPage } from "./signed-fetch";

const heading = { "signed-out": "Still you?", "other-person": "Somebody else is signed in now" } as const;

/** Over a page whose person the server no longer knows as signed in: their PIN or password, and all goes on where it stood. */
export function Lock({ person }: { person: { id: string; name: string; hasPin: boolean } }) {
  const locked = useSyncExternalStore(onLock, lockedNow, () => null);
  const [secret, setSecret] = useState("");
  const [refusal, setRefusal] = useState<Refusal | null>(null);
  const [busy, setBusy] = useState(false);
  if (!locked) return null;
  const unlock = async (event: React.FormEvent) => {
    event.preventDefault();
    setBusy(true);
    const answer = await showThatItIs(person.id, secret);
    setBusy(false);
    setRefusal(answer);
    if (answer) return;
    setSecret("");
    unlockPage();
    sendWaiting();
  };
  return (
    <Dialog title={heading[locked]} open onOpenChange={() => undefined}>
      <p className="text-lg mb-4">
        {locked === "signed-out"
          ? "Nobody was here for a while, or the working day is over."
          : "Another tab of this browser, or the tablet, went to somebody else. Nothing was written under their name."}{" "}
        Everything that stands here stays.
      </p>
      <form onSubmit={unlock} className="grid gap-4">
        <Field
          label={
            locked === "signed-out" && person.hasPin
              ? `PIN or password of ${person.name}`
              : `Password of ${person.name}`
          }
          type="password"
          autoComplete="current-password"
          autoFocus
          value={secret}
          onChange={(event) => setSecret(event.target.value)}
          error={refusal ? refusalWords(refusal) : undefined}
        />
        <div className="flex flex-wrap gap-3">
          <Button kind="now" large type="submit" disabled={busy || secret === ""}>
            Go on as {person.name}
          </Button>
          {locked === "signed-out" ? (
            <a
              href={`/sign-in?to=${encodeURIComponent(window.location.pathname)}`}
              className={buttonClass("line", true)}
            >
              Somebody else
            </a>
          ) : (
            <Button kind="line" large onClick={() => window.location.reload()}>
              Load anew for who is signed in
            </Button>
          )}
        </div>
      </form>
    </Dialog>
  );
}
