import { useState } from "react";
import { useWords } from "~/app/features/words/use-words";
import type { Refusal } from "~/core/quantity";
import type { Work } from "~/operations/build-entry";
import { Button } from "~/ui/button";
import { Dialog } from "~/ui/dialog";
import { Field } from "~/ui/field";
import { refusalWords } from "../../words/refusal";
import { useJobScreen } from "../entries/job-context";
import { useTyped } from "../entries/use-draft";

const usual = [
  "paper strip",
  "pin",
  "wedge",
  "jig",
  "marking paint",
  "indicator",
  "key",
  "temporary joint",
  "temporary cord",
  "half link",
];

/** Everything put in for the work, and every clamp screw. */
export function LedgerBox({ news, open, setOpen }: { news: string; open: boolean; setOpen: (open: boolean) => void }) {
  return (
    <Dialog title={news} open={open} onOpenChange={setOpen}>
      <Things />
      <Screws />
      <div className="mt-5">
        <Button kind="solid" large onClick={() => setOpen(false)}>
          Back to the job
        </Button>
      </div>
    </Dialog>
  );
}

function Things() {
  const reader = useWords();
  const { job } = useJobScreen();
  const other = useTyped(({ texts }) => texts["ledger.other"] ?? "");
  const [refusal, setRefusal] = useState<Refusal | null>(null);
  const put = async (work: Extract<Work, { kind: "loose-thing" }>): Promise<boolean> => {
    const result = await job.put(work);
    setRefusal(result.ok ? null : result.refusal);
    return result.ok;
  };
  const putIn = (thing: string) => put({ kind: "loose-thing", state: "in", thing, where: "" });
  return (
    <section aria-labelledby="put-in">
      <h3 id="put-in" className="font-bold text-lg">
        Put in for the work
      </h3>
      <ul className="mb-3">
        {job.record.things.map((thing) => (
          <li key={thing.entry} className="flex items-center gap-3 border-b border-rule py-1.5 text-lg">
            <span className="grow">
              {thing.thing} {thing.where && <span className="text-mid">{thing.where}</span>}
            </span>
            <Button
              onClick={() => put({ kind: "loose-thing", state: "out", names: thing.entry })}
              aria-label={`${thing.thing} is out`}
            >
              It is out
            </Button>
          </li>
        ))}
        {job.record.things.length === 0 && <li className="text-mid py-1.5">Nothing is in.</li>}
      </ul>
      <div className="flex flex-wrap gap-2">
        {usual.map((thing) => (
          <Button key={thing} kind="quiet" onClick={() => putIn(thing)}>
            + {thing}
          </Button>
        ))}
      </div>
      <form
        className="flex gap-3 items-end mt-3"
        onSubmit={async (event) => {
          event.preventDefault();
          if (await putIn(other)) job.changeText("ledger.other", "");
        }}
      >
        <Field
          className="grow"
          label="Something else"
          value={other}
          onChange={(event) => {
            setRefusal(null);
            job.changeText("ledger.other", event.target.value);
          }}
          error={refusal ? refusalWords(reader, refusal) : undefined}
        />
        <Button type="submit" large className="whitespace-nowrap">
          Put in
        </Button>
      </form>
    </section>
  );
}

function Screws() {
  const { data, job } = useJobScreen();
  return (
    <section aria-labelledby="screws" className="mt-5">
      <h3 id="screws" className="font-bold text-lg">
        Clamp screws
      </h3>
      {data.stages.map((stage) => (
        <p key={stage.id} className="py-1.5 border-b border-rule text-lg">
          <span className="block text-mid text-base">
            {[stage.name, stage.geometry.clamps.size].filter(Boolean).join(", ")}
          </span>
          {stage.geometry.clamps.points.length === 0 && "none entered"}
          {job
            .recordOf(stage)
            .clamps.map((clamp, i) => `${i + 1} ${clamp.state === "unknown" ? "not known" : clamp.state}`)
            .join(", ")}
        </p>
      ))}
    </section>
  );
}
