import { useState } from "react";
import { Link, useFetcher } from "react-router";
import { v7 } from "uuid";
import type { Refusal } from "~/core/quantity";
import { Button } from "~/ui/button";
import { Field } from "~/ui/field";
import { Fold } from "~/ui/fold";
import { Refused } from "../words/refused";

/** Another name, or the end of the stage: its logbook stays. */
export function RetireStage({ stageId }: { stageId: string }) {
  const fetcher = useFetcher<{ refusal?: Refusal }>();
  const [id] = useState(() => v7());
  return (
    <Fold look="line" summary="Rename it, or take it out">
      <p className="mb-3">
        <Link to={`/stages/${stageId}/stage`} className="min-h-11 inline-flex items-center">
          Give it another name
        </Link>
      </p>
      <fetcher.Form method="post" className="flex flex-wrap gap-3 items-end">
        <input type="hidden" name="what" value="retired" />
        <input type="hidden" name="id" value={id} suppressHydrationWarning />
        <Field
          label="Why is it taken out?"
          name="text"
          className="grow"
          error={fetcher.data?.refusal ? <Refused refusal={fetcher.data.refusal} /> : undefined}
        />
        <Button type="submit" large disabled={fetcher.state !== "idle"}>
          Take the stage out
        </Button>
      </fetcher.Form>
    </Fold>
  );
}
