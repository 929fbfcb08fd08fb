import { useState } from "react";
import { useFetcher } from "react-router";
import { v7 } from "uuid";
import type { Refusal } from "~/core/quantity";
import { Button } from "~/ui/button";
import { DateField } from "~/ui/date-field";
import { Field, Select } from "~/ui/field";
import { Refused } from "../words/refused";

/** Something that must not be forgotten, said in words. */
export function NewPoint({
  machineId,
  stages,
}: {
  machineId: string;
  stages: readonly { id: string; name: string }[];
}) {
  const fetcher = useFetcher<{ refusal?: Refusal; done?: boolean }>();
  const [id, setId] = useState(() => v7());
  const [by, setBy] = useState("");
  const [seen, setSeen] = useState(fetcher.data);
  if (fetcher.data !== seen) {
    setSeen(fetcher.data);
    if (fetcher.data?.done) {
      setId(v7());
      setBy("");
    }
  }
  return (
    <fetcher.Form key={id} method="post" action="/points" className="flex flex-wrap gap-3 items-end mt-2">
      <input type="hidden" name="what" value="open" />
      <input type="hidden" name="id" value={id} suppressHydrationWarning />
      <input type="hidden" name="machineId" value={machineId} />
      <Field
        className="grow max-w-md"
        label="New open point"
        name="text"
        autoComplete="off"
        error={fetcher.data?.refusal ? <Refused refusal={fetcher.data.refusal} /> : undefined}
      />
      {stages.length > 0 && (
        <Select label="On" name="stageId">
          <option value="">the machine</option>
          {stages.map((stage) => (
            <option key={stage.id} value={stage.id}>
              {stage.name}
            </option>
          ))}
        </Select>
      )}
      <DateField label="By" name="by" value={by} onChange={setBy} />
      <Button type="submit" large disabled={fetcher.state !== "idle"}>
        Note it
      </Button>
    </fetcher.Form>
  );
}
