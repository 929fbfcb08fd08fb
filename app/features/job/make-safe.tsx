import { useState } from "react";
import { useNavigate } from "react-router";
import type { Refusal } from "~/core/quantity";
import { Button } from "~/ui/button";
import { Field, Tick } from "~/ui/field";
import { refusalWords } from "../words/refusal";
import { cautions, kindCautions } from "../words/state";
import { useJobScreen } from "./job-context";
import { NoteForm } from "./note-form";

/** Cautions for a gear stage, acknowledged by name with the lock's number. */
export function MakeSafe() {
  const { data, job, stationPath } = useJobScreen();
  const navigate = useNavigate();
  const [refusal, setRefusal] = useState<Refusal | null>(null);
  const power = job.record.power;
  const lock = job.draft.texts.lock ?? "";
  const ticked = (job.draft.texts.cautions ?? "").split(" ").filter(Boolean);
  // Once said, what an instrument or a quick hand types next is not the lock's number any more.
  const [said, setSaid] = useState(false);
  const isolate = async (event: React.FormEvent) => {
    event.preventDefault();
    if (said) return;
    setSaid(true);
    const result = await job.put({ kind: "isolated", lock, acknowledged: ticked });
    if (!result.ok) {
      setSaid(false);
      return setRefusal(result.refusal);
    }
    job.changeText("cautions", "");
    navigate(stationPath(job.record.firstBuild ? "set" : "as-found"), { replace: true });
  };
  return (
    <div className="grid lg:grid-cols-[1fr_26rem] gap-8 p-5 overflow-y-auto grow">
      <section aria-labelledby="safe-title">
        <h2 id="safe-title" className="text-2xl font-bold mb-1">
          {power?.state === "isolated"
            ? `Isolated, lock ${power.lock}`
            : power
              ? "Live. Make safe before working on it"
              : "Make safe before anything is touched"}
        </h2>
        <p className="text-lg text-mid mb-4">
          Local rules, the maker and licensed trades come first. Isolated is a state: it is asked again after every time
          it was live.
        </p>
        <ul className="mb-3 grid gap-1" aria-label="On these stages">
          {[...new Set(data.stages.map(({ kind }) => kindCautions[kind]))].map((caution) => (
            <li key={caution} className="border-l-4 border-near pl-3 text-lg">
              {caution}
            </li>
          ))}
        </ul>
        <form onSubmit={isolate} className="grid gap-2 max-w-3xl">
          {cautions.map((caution) => (
            <div key={caution.key} className="border-b border-rule text-lg">
              <Tick
                label={caution.text}
                checked={ticked.includes(caution.key)}
                onChange={(event) =>
                  job.changeText(
                    "cautions",
                    (event.target.checked
                      ? [...ticked, caution.key]
                      : ticked.filter((key) => key !== caution.key)
                    ).join(" "),
                  )
                }
              />
            </div>
          ))}
          <Field
            className="mt-4 max-w-xs"
            label="Number of the lock"
            autoFocus
            autoComplete="off"
            readOnly={said}
            value={lock}
            onChange={(event) => {
              setRefusal(null);
              job.changeText("lock", event.target.value);
            }}
            error={refusal ? refusalWords(refusal) : undefined}
          />
          <div className="mt-2">
            <Button kind="now" large type="submit">
              {data.person.name}: isolated{lock.trim() ? `, lock ${lock.trim()}` : ""}
            </Button>
          </div>
        </form>
      </section>
      <NoteForm />
    </div>
  );
}
