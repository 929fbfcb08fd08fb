import { useState } from "react";
import { Form, useNavigation, useSearchParams } from "react-router";
import { v7 } from "uuid";
import type { Refusal } from "~/core/quantity";
import { Button } from "~/ui/button";
import { Choice } from "~/ui/choice";
import { Field } from "~/ui/field";
import { Tick } from "~/ui/tick";
import { noLimits } from "../words/limit-words";
import { Refused } from "../words/refused";
import type { OpenedStage } from "./shown-stage";

/** Opens a job on a stage, with others of the machine if they are to be worked on too. The ids are made here, so that sending it twice opens one. */
export function StartJob({
  stages,
  usual,
  refused,
  to,
}: {
  /** Those that no open job works on. */
  stages: readonly OpenedStage[];
  /** The one that needs it most. */
  usual: string | undefined;
  refused: { refusal: Refusal; reason: string; stageId: string } | null;
  /** The machine's page, where this stands on another. */
  to?: string;
}) {
  // What leads here may know why.
  const reason = (useSearchParams()[0].get("reason") ?? "").slice(0, 200);
  const [ids] = useState(() => ({ jobId: v7(), entryId: v7() }));
  const [chosen, setChosen] = useState(refused?.stageId ?? usual ?? "");
  const busy = useNavigation().state !== "idle";
  const stage = stages.find(({ id }) => id === chosen) ?? stages[0];
  if (!stage) return null;
  const others = stages.filter((other) => other !== stage);
  const { limits, quantity, adjuster, clamps } = stage.opening;
  return (
    <Form method="post" action={to} className="grid gap-3">
      <input type="hidden" name="what" value="open" />
      <input type="hidden" name="stageId" value={stage.id} />
      <input type="hidden" name="jobId" value={ids.jobId} suppressHydrationWarning />
      <input type="hidden" name="entryId" value={ids.entryId} suppressHydrationWarning />
      {stages.length > 1 && (
        <Choice
          legend="A job on"
          name="on"
          value={stage.id}
          onChange={setChosen}
          options={stages.map(({ id, name: called }) => ({ value: id, label: called }))}
        />
      )}
      <p>
        <b className="text-lg">{stage.name}.</b>{" "}
        {limits ? (
          <>
            Limits <span className="figure">{limits.range}</span> {limits.unit} of {quantity}, {limits.source}.
          </>
        ) : (
          `Judged by its ${quantity}, with ${noLimits}.`
        )}{" "}
        {adjuster ? `Set by ${adjuster.toLowerCase()}, ${clamps}` : "Nothing to adjust"}.
      </p>
      <div className="flex flex-wrap gap-3 items-end">
        <Field
          className="grow max-w-sm"
          label={`Why look at the ${stage.name.toLowerCase()}?`}
          name="reason"
          autoComplete="off"
          defaultValue={refused?.reason ?? reason}
          error={refused ? <Refused refusal={refused.refusal} /> : undefined}
        />
        <Button kind="now" large type="submit" disabled={busy}>
          Start a job
        </Button>
      </div>
      <details>
        <summary className="min-h-11 content-center cursor-pointer underline text-mid">
          {others.length > 0 ? "With other stages, or a first build" : "First build"}
        </summary>
        {others.map((other) => (
          <Tick key={other.id} label={`With ${other.name}`} name="stageId" value={other.id} />
        ))}
        <Tick label="First build: there is nothing as found" name="firstBuild" value="yes" />
      </details>
    </Form>
  );
}
