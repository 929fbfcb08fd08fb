import { useState } from "react";
import { Form, useNavigation } from "react-router";
import { v7 } from "uuid";
import { useWords } from "~/app/features/words/use-words";
import type { Refusal } from "~/core/quantity";
import type { Stage } from "~/core/records";
import { Button } from "~/ui/button";
import { Choice } from "~/ui/choice";
import { Field } from "~/ui/field";
import { Tick } from "~/ui/tick";
import { stageUnit } from "../words/quantity";
import { Refused } from "../words/refused";

/** Opens a job on a stage, with others of the machine if they are to be worked on too. The ids are made here, so that sending it twice opens one. */
export function StartJob({
  stages,
  usual,
  refused,
}: {
  /** Those that no open job works on. */
  stages: readonly Stage[];
  /** The one that needs it most. */
  usual: string | undefined;
  refused: { refusal: Refusal; reason: string; stageId: string } | null;
}) {
  const reader = useWords();
  const [ids] = useState(() => ({ jobId: v7(), entryId: v7() }));
  const [chosen, setChosen] = useState(refused?.stageId ?? usual ?? "");
  const busy = useNavigation().state !== "idle";
  const stage = stages.find(({ id }) => id === chosen) ?? stages[0];
  if (!stage) return null;
  const others = stages.filter((other) => other !== stage);
  const { unit, range, name } = stageUnit(reader, stage.geometry.element);
  const { clamps } = stage.geometry;
  return (
    <Form method="post" className="grid gap-3 border-t border-rule pt-4">
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
        <b className="text-lg">{stage.name}.</b> Limits{" "}
        <span className="figure">{range(stage.limits.lo, stage.limits.hi)}</span> {unit} of {name},{" "}
        {stage.limits.source}.{" "}
        {stage.adjuster.adjuster ? `Set by ${stage.adjuster.name.toLowerCase()}` : "Nothing to adjust"},{" "}
        {clamps.points.length} clamps {clamps.size}.
      </p>
      <div className="flex flex-wrap gap-3 items-end">
        <Field
          className="grow max-w-sm"
          label={`Why is the ${stage.name.toLowerCase()} looked at?`}
          name="reason"
          autoComplete="off"
          defaultValue={refused?.reason}
          error={refused ? <Refused refusal={refused.refusal} /> : undefined}
        />
        <Button kind="solid" large type="submit" disabled={busy}>
          Start a job
        </Button>
      </div>
      <details>
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
