import { type ReactNode, useState } from "react";
import type { Refusal } from "~/core/quantity";
import { Button } from "~/ui/button";
import { Field } from "~/ui/field";
import { Refused } from "../words/refused";

/** Asks somebody for their PIN or password. What was typed wrongly does not stay; why it was refused stands by the field. */
export function SecretForm({
  name,
  label,
  done,
  give,
  atOnce = true,
  children,
}: {
  /** Of the form. */
  name: string;
  label: string;
  /** What its button says. */
  done: string;
  /** null: it was right. */
  give: (secret: string) => Promise<Refusal | null>;
  /** It is the thing to do now. */
  atOnce?: boolean;
  /** Beside the button. */
  children?: ReactNode;
}) {
  const [secret, setSecret] = useState("");
  const [refusal, setRefusal] = useState<Refusal | null>(null);
  const [busy, setBusy] = useState(false);
  const submit = async (event: React.FormEvent) => {
    event.preventDefault();
    setBusy(true);
    const answer = await give(secret);
    setBusy(false);
    setRefusal(answer);
    // The server was not reached: nothing was wrong with it.
    if (answer?.code !== "offline") setSecret("");
  };
  return (
    <form onSubmit={submit} aria-label={name} className="grid gap-4">
      <Field
        label={label}
        type="password"
        autoComplete={atOnce ? "current-password" : "off"}
        autoFocus={atOnce}
        value={secret}
        onChange={(event) => setSecret(event.target.value)}
        error={refusal ? <Refused refusal={refusal} /> : undefined}
      />
      <div className="flex flex-wrap gap-3">
        <Button kind={atOnce ? "now" : "solid"} large type="submit" disabled={busy || secret === ""}>
          {done}
        </Button>
        {children}
      </div>
    </form>
  );
}
