import { useRef, useState } from "react";
import { useNavigate } from "react-router";
import { useWords } from "~/app/features/words/use-words";
import type { Refusal } from "~/core/quantity";
import { usualLiftLimitKg } from "~/core/records/lifting";
import { Button } from "~/ui/button";
import { Choice } from "~/ui/choice";
import { Field } from "~/ui/field";
import { refusalWords } from "../../words/refusal";
import { noLocks } from "../../words/state";
import { useJobScreen } from "../entries/job-context";
import { useTexts } from "../entries/use-draft";
import { cautionsFor, needsTwo } from "./cautions";
import { NoteForm } from "./note-form";
import { PressList, saidOf } from "./press-list";

const locked = "locked";

/** Made safe: the lock or what was done in its place, then each caution by a press of its own, then the name. */
export function MakeSafe() {
  const reader = useWords();
  const { data, job, stationPath } = useJobScreen();
  const navigate = useNavigate();
  const list = useRef<HTMLDivElement>(null);
  const confirm = useRef<HTMLButtonElement>(null);
  const [refusal, setRefusal] = useState<Refusal | null>(null);
  const power = job.record.power;
  const texts = useTexts();
  const lock = texts.lock ?? "";
  const how = noLocks.find(({ key }) => key === texts["safe.how"]) ?? null;
  const limitKg = data.liftLimitKg ?? usualLiftLimitKg;
  const second = texts["safe.second"] ?? "";
  const items = cautionsFor(
    reader,
    data.machine,
    data.stages.map(({ kind }) => kind),
    { limitKg, first: data.person.name, second },
  );
  const pressed = (texts.cautions ?? "").split(" ").filter(Boolean);
  const [said, setSaid] = useState(false);
  const isolate = async (event: React.FormEvent) => {
    event.preventDefault();
    if (said) return;
    if (!how && lock.trim() === "") return setRefusal({ code: "empty", path: ["lock"], facts: {} });
    setSaid(true);
    const noLock = how && { key: how.key, text: how.text };
    const spoken = saidOf(items, pressed);
    const result = await job.put({ kind: "isolated", lock: how ? "" : lock, noLock, ...spoken });
    if (!result.ok) {
      setSaid(false);
      return setRefusal(result.refusal);
    }
    job.changeText("cautions", "");
    navigate(stationPath(job.record.firstBuild ? "set" : "as-found"), { replace: true });
  };
  const firstUnpressed = () =>
    list.current?.querySelector<HTMLButtonElement>("[role=checkbox][aria-checked=false]") ?? confirm.current;
  const left = items.filter(({ key }) => !pressed.includes(key)).length;
  return (
    <div className="grid lg:grid-cols-[1fr_26rem] gap-8 p-5 overflow-y-auto grow content-start">
      <section aria-labelledby="safe-title">
        <h2 id="safe-title" className="text-2xl font-bold mb-1">
          {power?.state === "isolated"
            ? power.lock === null
              ? "Isolated, without a lock"
              : `Isolated, lock ${power.lock}`
            : power
              ? "Live. Make safe before working on it"
              : "Make safe before anything is touched"}
        </h2>
        <p className="text-lg text-mid mb-4">
          Local rules, the maker and licensed trades come first. Isolated is a state: it is asked again after every time
          it was live.
        </p>
        <form onSubmit={isolate} className="grid gap-4 max-w-3xl">
          <Choice
            legend="Held off by"
            name="safe-how"
            value={how?.key ?? locked}
            onChange={(value) => {
              setRefusal(null);
              job.changeText("safe.how", value === locked ? "" : value);
            }}
            options={[
              { value: locked, label: "A lock" },
              ...noLocks.map(({ key, text }) => ({ value: key, label: `No lock: ${text.toLowerCase()}` })),
            ]}
          />
          {!how && (
            <Field
              className="max-w-xs"
              label="Number of the lock"
              autoFocus
              autoComplete="off"
              readOnly={said}
              value={lock}
              onKeyDown={(event) => {
                if (event.key !== "Enter") return;
                // Enter goes on to the cautions; it never confirms from here.
                event.preventDefault();
                firstUnpressed()?.focus();
              }}
              onChange={(event) => {
                setRefusal(null);
                job.changeText("lock", event.target.value);
              }}
              error={refusal ? refusalWords(reader, refusal) : undefined}
            />
          )}
          {needsTwo(data.machine, limitKg) && (
            <Field
              className="max-w-xs"
              label="Who lifts with you?"
              hint="the heaviest part is over what one may lift here"
              autoComplete="off"
              readOnly={said}
              value={second}
              onKeyDown={(event) => event.key === "Enter" && event.preventDefault()}
              onChange={(event) => job.changeText("safe.second", event.target.value)}
            />
          )}
          <div ref={list}>
            <PressList
              label="Acknowledge each"
              items={items}
              pressed={pressed}
              onPress={(keys) => job.changeText("cautions", keys.join(" "))}
              after={() => confirm.current?.focus()}
            />
          </div>
          {left > 0 && pressed.length > 0 && (
            <p className="text-mid" role="status">
              {left === 1 ? "One is" : `${left} are`} not acknowledged; the logbook says so.
            </p>
          )}
          {how && refusal && (
            <p role="alert" className="text-outside font-semibold">
              {refusalWords(reader, refusal)}
            </p>
          )}
          <div>
            <Button ref={confirm} kind="now" large type="submit">
              {data.person.name}: isolated
              {how ? ", no lock" : lock.trim() ? `, lock ${lock.trim()}` : ""}
            </Button>
          </div>
        </form>
      </section>
      <NoteForm />
    </div>
  );
}
