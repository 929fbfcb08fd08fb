import { useState } from "react";
import { useRevalidator } from "react-router";
import type { Refusal } from "~/core/quantity";
import { Button } from "~/ui/button";
import { Field } from "~/ui/field";
import { usePersonId } from "../people/use-preferences";
import { refusalWords } from "../words/refusal";
import { showThatItIs } from "./show-that-it-is";

/** In a session that a PIN began: the password, for what a PIN is not enough for. */
export function GivePassword() {
  const personId = usePersonId();
  const { revalidate } = useRevalidator();
  const [secret, setSecret] = useState("");
  const [refusal, setRefusal] = useState<Refusal | null>(null);
  const give = async (event: React.FormEvent) => {
    event.preventDefault();
    const answer = await showThatItIs(personId, secret);
    setRefusal(answer);
    setSecret("");
    if (!answer) revalidate();
  };
  return (
    <form onSubmit={give} aria-label="Password" className="grid gap-4">
      <Field
        label="Your password"
        type="password"
        autoComplete="current-password"
        autoFocus
        value={secret}
        onChange={(event) => setSecret(event.target.value)}
        error={refusal ? refusalWords(refusal) : undefined}
      />
      <div>
        <Button kind="now" large type="submit" disabled={secret === ""}>
          Go on
        </Button>
      </div>
    </form>
  );
}
