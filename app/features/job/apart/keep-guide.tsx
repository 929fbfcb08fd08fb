import { useEffect, useState } from "react";
import { useFetcher } from "react-router";
import { v7 } from "uuid";
import type { Refusal } from "~/core/quantity";
import { Button } from "~/ui/button";
import { Field } from "~/ui/field";
import { Refused } from "../../words/refused";
import { useJobScreen } from "../entries/job-context";
import { useTexts } from "../entries/use-draft";
import { guideFromParts } from "./guide-from-parts";
import { useGuide } from "./use-guide";

/** What was taken apart, kept as the machine's guide: a new one, or the next revision of the one that was followed. */
export function KeepGuide() {
  const { data, entered, job } = useJobScreen();
  const texts = useTexts();
  const guide = useGuide();
  const fetcher = useFetcher<{ refusal?: Refusal; kept?: string }>();
  const [ids, setIds] = useState(() => ({ entryId: v7(), revisionId: v7(), guideId: v7() }));
  const { kept, refusal } = fetcher.data ?? {};
  useEffect(() => {
    if (kept) setIds({ entryId: v7(), revisionId: v7(), guideId: v7() });
  }, [kept]);
  const name = texts["guide.name"] ?? guide?.name ?? entered.name;
  const parts = guideFromParts(job.record.apart.parts, data.photographs ?? [], guide?.parts ?? []);
  if (parts.length === 0) return null;
  const keep = (event: React.FormEvent) => {
    event.preventDefault();
    fetcher.submit(
      {
        ...ids,
        guideId: guide?.guideId ?? ids.guideId,
        seenRevision: guide?.revision ?? 0,
        stageId: guide ? guide.stageId : entered.id,
        name,
        parts,
        text: "From a strip-down",
      },
      { method: "post", action: `/machines/${data.machine.id}/guides`, encType: "application/json" },
    );
  };
  return (
    <form onSubmit={keep} className="grid gap-3 py-2">
      <p className="text-lg">
        {guide
          ? `What was seen becomes revision ${guide.revision + 1} of ${guide.name}.`
          : "What came off becomes this machine's guide, in the order in which it goes together."}
      </p>
      <Field
        label="Name of the assembly"
        value={name}
        autoComplete="off"
        onChange={(event) => job.changeText("guide.name", event.target.value)}
        error={refusal ? <Refused refusal={refusal} /> : undefined}
      />
      <div>
        <Button type="submit" large disabled={fetcher.state !== "idle"}>
          Keep it as the guide
        </Button>
      </div>
      {kept && (
        <p role="status" className="text-lg text-inside font-semibold">
          {kept}
        </p>
      )}
    </form>
  );
}
