import { useState } from "react";
import { useFetcher, useRouteLoaderData } from "react-router";
import { v7 } from "uuid";
import { useWords } from "~/app/features/words/use-words";
import type { loader as rootLoader } from "~/app/root";
import { isKind } from "~/core/logbook";
import type { Refusal } from "~/core/quantity";
import { Button } from "~/ui/button";
import { Field } from "~/ui/field";
import { refusalWords } from "../../words/refusal";
import { day } from "../../words/times";
import { useJobScreen } from "../entries/job-context";

/** Who countersigned a signed job; or, for a lead who did not sign it, the way to. */
export function Countersign() {
  const reader = useWords();
  const { data, job } = useJobScreen();
  const person = useRouteLoaderData<typeof rootLoader>("root")?.person;
  const fetcher = useFetcher<{ refusal?: Refusal }>();
  const [id] = useState(() => v7());
  const [comment, setComment] = useState("");
  const [secret, setSecret] = useState("");
  const done = job.entries.find(isKind("countersignature"));
  if (done)
    return (
      <p className="text-lg font-semibold">
        Countersigned by {done.madeByName}, {day(reader, done.madeAt)}
        {done.body.comment && <span className="block font-normal">{done.body.comment}</span>}
      </p>
    );
  const signature = job.entries.find(isKind("signature"));
  if (person?.role !== "lead" || !signature || signature.madeBy === person.id) return null;
  const refusal = fetcher.data?.refusal;
  const sign = (event: React.FormEvent) => {
    event.preventDefault();
    fetcher.submit(secret ? { id, comment, secret } : { id, comment }, {
      method: "post",
      action: `/jobs/${data.job.id}/countersign`,
      encType: "application/json",
    });
  };
  return (
    <form onSubmit={sign} aria-label="Countersign" className="grid gap-3 border-t border-rule pt-4">
      <Field
        label="What you say to it"
        value={comment}
        autoComplete="off"
        onChange={(event) => setComment(event.target.value)}
        error={refusal && refusal.path[0] !== "secret" ? refusalWords(reader, refusal) : undefined}
      />
      {(person.byPin || person.asksToSign || refusal?.path[0] === "secret") && (
        <Field
          label="Your password"
          type="password"
          autoComplete="off"
          value={secret}
          onChange={(event) => setSecret(event.target.value)}
          error={refusal?.path[0] === "secret" ? refusalWords(reader, refusal) : undefined}
        />
      )}
      <div>
        <Button kind="solid" large type="submit" disabled={fetcher.state !== "idle"}>
          Countersign as {person.name}
        </Button>
      </div>
    </form>
  );
}
