import { Button, buttonClass } from "~/ui/button";
import { Dialog } from "~/ui/dialog";
import { sendWaiting } from "../offline/outbox-state";
import { SecretForm } from "./secret-form";
import { showThatItIs } from "./show-that-it-is";
import { type Locked, unlockPage } from "./signed-fetch";

const heading = { "signed-out": "Still you?", "other-person": "Somebody else is signed in now" } as const;

/** Their PIN or password, and all goes on where it stood. */
export function LockBox({ person, locked }: { person: { id: string; name: string; hasPin: boolean }; locked: Locked }) {
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
