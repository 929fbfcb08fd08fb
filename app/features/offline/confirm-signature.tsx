import { useState } from "react";
import type { Refusal } from "~/core/quantity";
import { Button } from "~/ui/button";
import { Field } from "~/ui/field";
import { refusalWords } from "../words/refusal";
import { confirmSignature } from "./outbox-state";
import type { Waiting } from "./waiting-store";

/** For a signature that was made without the server: its signer shows who they are, and it goes into the logbook. */
export function ConfirmSignature({ waiting }: { waiting: Waiting }) {
  const [secret, setSecret] = useState("");
  const [refusal, setRefusal] = useState<Refusal | null>(null);
  const [busy, setBusy] = useState(false);
  const confirm = async (event: React.FormEvent) => {
    event.preventDefault();
    setBusy(true);
    setRefusal(await confirmSignature(waiting, secret));
    setBusy(false);
    setSecret("");
  };
  return (
    <form onSubmit={confirm} aria-label="Confirm the signature" className="flex flex-wrap gap-3 items-start">
      <Field
        label="Your PIN or password"
        type="password"
        autoComplete="off"
        value={secret}
        onChange={(event) => setSecret(event.target.value)}
        error={refusal ? refusalWords(refusal) : undefined}
      />
      <Button kind="solid" large type="submit" className="mt-7" disabled={busy || secret === ""}>
        Confirm the signature
      </Button>
    </form>
  );
}
