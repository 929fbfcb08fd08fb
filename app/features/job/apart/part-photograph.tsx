import { useEffect, useState } from "react";
import { useRevalidator } from "react-router";
import { v7 } from "uuid";
import { FileField } from "~/ui/file-field";
import { shrinkPhotograph } from "../../machine/shrink-photograph";
import { onTaken, putOnItsWay, useOutbox } from "../../offline/outbox-state";
import { Refused } from "../../words/refused";
import { useJobScreen } from "../entries/job-context";

/** A part photographed as it lies there: kept on the tablet at once and sent when it can be, under the entry by which it came off. */
export function PartPhotograph({ of, shows }: { of: string; shows: string }) {
  const { data, stage } = useJobScreen();
  const { revalidate } = useRevalidator();
  const outbox = useOutbox();
  const [busy, setBusy] = useState(false);
  const waiting = outbox.items.filter(({ payload }) => payload.kind === "attachment" && payload.names === of);
  useEffect(
    () =>
      onTaken((taken) => {
        if (taken.some(({ waiting: { payload } }) => payload.kind === "attachment" && payload.names === of))
          revalidate();
      }),
    [of, revalidate],
  );
  const keep = async (event: React.ChangeEvent<HTMLInputElement>) => {
    const input = event.target;
    const file = input.files?.[0];
    if (!file) return;
    setBusy(true);
    const id = v7();
    const payload = {
      id,
      kind: "attachment",
      stageId: stage.id,
      names: of,
      name: file.name,
      caption: shows,
      madeAt: new Date().toISOString(),
    };
    const url = `/machines/${data.machine.id}/files`;
    await putOnItsWay({ id, jobId: "", url, payload, file: await shrinkPhotograph(file) });
    setBusy(false);
    input.form?.reset();
  };
  return (
    <form className="grid gap-1">
      <FileField
        label={`Photograph ${shows}`}
        accept=".jpg,.jpeg,.png,.webp"
        capture="environment"
        onChange={keep}
        disabled={busy}
      />
      {waiting.map((item) =>
        item.refusal ? (
          <p key={item.id} role="alert" className="text-outside font-semibold">
            <Refused refusal={item.refusal} />
          </p>
        ) : (
          <p key={item.id} role="status" className="text-mid">
            A photograph waits on this tablet; it goes when the server can be reached.
          </p>
        ),
      )}
    </form>
  );
}
