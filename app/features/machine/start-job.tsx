import { useState } from "react";
import { Form, useNavigation } from "react-router";
import { v7 } from "uuid";
import type { Refusal } from "~/core/quantity";
import type { Stage } from "~/data/queries/stages";
import { Button } from "~/ui/button";
import { Field, Tick } from "~/ui/field";
import { refusalWords } from "../words/refusal";

/** Opens a job on a stage, with others of the machine if they are to be worked on too. The ids are made here, so that sending it twice opens one. */
export function StartJob({
  stage,
  others,
  refused,
}: {
  stage: Stage;
  others: readonly Stage[];
  refused: { refusal: Refusal; reason: string } | null;
}) {
  const [ids] = useState(() => ({ jobId: v7(), entryId: v7() }));
  const busy = useNavigation().state !== "idle";
  return (
    <Form method="post" className="flex flex-wrap gap-3 items-end">
      <input type="hidden" name="what" value="open" />
      <input type="hidden" name="stageId" value={stage.id} />
      <input type="hidden" name="jobId" value={ids.jobId} suppressHydrationWarning />
      <input type="hidden" name="entryId" value={ids.entryId} suppressHydrationWarning />
      <Field
        className="grow max-w-sm"
        label={`Why is the ${stage.name.toLowerCase()} looked at?`}
        name="reason"
        autoComplete="off"
        defaultValue={refused?.reason}
        error={refused ? refusalWords(refused.refusal) : undefined}
      />
      <Button kind="solid" large type="submit" disabled={busy}>
        Start a job
      </Button>
      <details className="w-full">
        <summary className="min-h-11 content-center cursor-pointer underline text-mid">
          {others.length > 0 ? "With other stages, or a first build" : "It is a first build"}
        </summary>
        {others.map((other) => (
          <Tick key={other.id} label={`With ${other.name}`} name="stageId" value={other.id} />
        ))}
        <Tick label="First build: there is nothing as found" name="firstBuild" value="yes" />
      </details>
    </Form>
  );
}
