import { useEffect, useSyncExternalStore } from "react";
import { Button, buttonClass } from "~/ui/button";
import { Dialog } from "~/ui/dialog";
import { sendWaiting } from "../offline/outbox-state";
import { SecretForm } from "./secret-form";
import { showThatItIs } from "./show-that-it-is";
import { lockedNow, onLock, unlockForOthers, unlockPage } from "./signed-fetch";

const heading = { "signed-out": "Still you?", "other-person": "Somebody else is signed in now" } as const;

/** Over a page whose person the server no longer knows as signed in: their PIN or password, and all goes on where it stood. */
export function Lock({ person }: { person: { id: string; name: string; hasPin: boolean } }) {
  const locked = useSyncExternalStore(onLock, lockedNow, () => null);
  useEffect(() => unlockForOthers(person.id), [person.id]);
  if (!locked) return null;
  const unlock = async (secret: string) => {
    const refusal = await showThatItIs(person.id, secret);
    if (!refusal) {
      unlockPage();
      sendWaiting();
    }
    return refusal;
  };
  return (
    <Dialog title={heading[locked]} open onOpenChange={() => undefined}>
      <p className="text-lg mb-4">
        {locked === "signed-out"
          ? "Nobody was here for a while, or the working day is over."
          : "Another tab of this browser, or the tablet, went to somebody else. Nothing was written under their name."}{" "}
        Everything that stands here stays.
      </p>
      <SecretForm
        name={heading[locked]}
        label={`${locked === "signed-out" && person.hasPin ? "PIN or password" : "Password"} of ${person.name}`}
        done={`Go on as ${person.name}`}
        give={unlock}
      >
        {locked === "signed-out" ? (
          <a href={`/sign-in?to=${encodeURIComponent(window.location.pathname)}`} className={buttonClass("line", true)}>
            Somebody else
          </a>
        ) : (
          <Button kind="line" large onClick={() => window.location.reload()}>
            Load anew for who is signed in
          </Button>
        )}
      </SecretForm>
    </Dialog>
  );
}
