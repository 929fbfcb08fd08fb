import { useState } from "react";
import { data, Link, useFetcher } from "react-router";
import { v7 } from "uuid";
import { FileForm } from "~/app/features/files/file-form";
import { markWords } from "~/app/features/greasing/upkeep-texts";
import { shrinkPhotograph } from "~/app/features/machine/shrink-photograph";
import { PlaceHead } from "~/app/features/shell/head";
import { capital, countWords } from "~/app/features/words/count";
import { entryWords } from "~/app/features/words/entry";
import type { Reader } from "~/app/features/words/reader";
import { Refused } from "~/app/features/words/refused";
import { shortDay } from "~/app/features/words/times";
import { gramsText, upkeepDueWords } from "~/app/features/words/upkeep";
import { useWords } from "~/app/features/words/use-words";
import { jsonObject } from "~/app/session/json-object";
import { asPerson, everyRole } from "~/app/session/session.server";
import type { LookFind } from "~/core/greasing";
import type { UpkeepDue } from "~/core/logbook";
import { parseNumber, type Refusal } from "~/core/quantity";
import { mayWork } from "~/operations/context";
import { logUpkeep } from "~/operations/log-upkeep";
import { Button, buttonClass } from "~/ui/button";
import { Choice } from "~/ui/choice";
import { Field } from "~/ui/field";
import { Tick } from "~/ui/tick";
import type { Route } from "./+types/upkeep";
import { loadUpkeep } from "./load-upkeep.server";

export const meta: Route.MetaFunction = ({ loaderData }) => [
  { title: `Grease and looks, ${loaderData?.machine.name ?? "a machine"}, Harmostat` },
];

export const loader = ({ params, context, request }: Route.LoaderArgs) =>
  asPerson(context, request, everyRole, (asked) => loadUpkeep(asked, params.machineId));

/** Logs what was greased or looked at. */
export async function action({ params, context, request }: Route.ActionArgs) {
  const input = await jsonObject(request);
  return asPerson(context, request, mayWork, async (asked) => {
    const logged = await logUpkeep(asked, {
      ...input,
      machineId: params.machineId,
      madeAt: input?.madeAt ?? asked.now.toISOString(),
    });
    return logged.ok ? { logged: logged.value.id } : data({ refusal: logged.refusal }, { status: 400 });
  });
}

type Loaded = Route.ComponentProps["loaderData"];

/** What is due of grease and looks, with the keys to log each; what is none here or kept dry; what was done last. */
export default function Upkeep({ loaderData }: Route.ComponentProps) {
  const { machine, list, due, work, photographs, mayKeep } = loaderData;
  const reader = useWords();
  const dry = list.grease.filter(({ mark }) => mark !== "grease");
  const empty = list.grease.length + list.looks.length === 0;
  return (
    <>
      <PlaceHead />
      <main className="p-5 max-sm:p-3.5 grid gap-6">
        <header className="flex flex-wrap gap-4 items-end justify-between">
          <div>
            <h1 className="text-3xl max-sm:text-2xl font-bold">{upkeepNews(due, empty)}</h1>
            <p className="text-lg text-mid">
              <Link to={`/machines/${machine.id}`} className="text-ink">
                {machine.name}
              </Link>
              : grease and looks
            </p>
          </div>
          {mayKeep && (
            <Link to="edit" className={buttonClass(empty ? "now" : "line", true)}>
              {empty ? "Write the lists" : "Edit the lists"}
            </Link>
          )}
        </header>
        <div className="grid lg:grid-cols-2 gap-8">
          {list.grease.length > 0 && (
            <section aria-labelledby="grease" className="grid gap-3 content-start">
              <h2 id="grease" className="text-xl font-bold">
                Grease
              </h2>
              <Greased loaderData={loaderData} />
              {dry.length > 0 && (
                <ul aria-label="Not greased" className="text-lg">
                  {dry.map(({ id, name, mark }) => (
                    <li key={id} className="border-t border-rule py-1.5">
                      {name}: <b>{mark === "grease" ? "" : markWords[mark]}</b>
                    </li>
                  ))}
                </ul>
              )}
            </section>
          )}
          {list.looks.length > 0 && (
            <section aria-labelledby="looks" className="grid gap-3 content-start">
              <h2 id="looks" className="text-xl font-bold">
                Looked at, between runs
              </h2>
              <Looked loaderData={loaderData} />
            </section>
          )}
        </div>
        <section aria-labelledby="done">
          <h2 id="done" className="text-xl font-bold">
            Done
          </h2>
          <ol>
            {work.map((entry) => {
              const { title, detail } = entryWords(reader, entry);
              return (
                <li key={entry.id} className="border-t border-rule py-2">
                  <b>{title}</b>{" "}
                  <span className="text-mid">
                    {shortDay(reader, entry.madeAt)}, {entry.madeByName}
                  </span>
                  <span className="block">{detail}</span>
                  <span className="flex gap-2">
                    {photographs
                      .filter(({ of }) => of === entry.id)
                      .map(({ id, caption }) => (
                        <a key={id} href={`/files/${id}`} target="_blank" rel="noreferrer" aria-label={caption}>
                          <img
                            src={`/files/${id}?small=1`}
                            alt=""
                            loading="lazy"
                            className="w-24 h-18 object-cover border border-rule"
                          />
                        </a>
                      ))}
                  </span>
                </li>
              );
            })}
            {work.length === 0 && <li className="text-mid">Nothing is logged yet.</li>}
          </ol>
        </section>
      </main>
    </>
  );
}

function upkeepNews(due: readonly UpkeepDue[], empty: boolean): string {
  if (empty) return "Nothing is on the lists yet";
  const now = due.filter(({ dueInDays }) => dueInDays !== null && dueInDays <= 0).length;
  if (now > 0) return `${capital(countWords(now))} ${now === 1 ? "is" : "are"} due`;
  const never = due.filter(({ unknown }) => unknown === "never").length;
  return never > 0
    ? `Of ${countWords(never)} it is not known when ${never === 1 ? "it was" : "they were"} done`
    : "Nothing is due";
}

const nowIso = () => new Date().toISOString();

/** Points that were greased just now: each ticked, with the grams where somebody weighed them. */
function Greased({ loaderData: { list, due, mayKeep } }: { loaderData: Loaded }) {
  const reader = useWords();
  const fetcher = useFetcher<{ refusal?: Refusal; logged?: string }>();
  const [id, setId] = useState(() => v7());
  const [ticked, setTicked] = useState<readonly string[]>([]);
  const [grams, setGrams] = useState<Readonly<Record<string, string>>>({});
  const [spread, setSpread] = useState(false);
  const [problem, setProblem] = useState<{ id: string; refusal: Refusal } | null>(null);
  const refusal = fetcher.data?.refusal;
  const lines = due.filter(({ what }) => what === "grease").sort(soonest);
  const log = (event: React.FormEvent) => {
    event.preventDefault();
    const points: { id: string; grams: number | null }[] = [];
    for (const point of ticked) {
      const typed = (grams[point] ?? "").trim();
      const read = typed === "" ? null : parseNumber(typed);
      if (read && !read.ok) return setProblem({ id: point, refusal: read.refusal });
      points.push({ id: point, grams: read?.ok ? read.value : null });
    }
    if (points.length === 0) return setProblem({ id: "", refusal: { code: "missing", path: ["points"], facts: {} } });
    setProblem(null);
    fetcher.submit(
      { kind: "greased", id, points, spread, note: "", madeAt: nowIso() },
      { method: "post", encType: "application/json" },
    );
    setId(v7());
    setTicked([]);
    setGrams({});
    setSpread(false);
  };
  return (
    <form onSubmit={log} aria-label="Greased" className="grid gap-2">
      <p className="text-lg text-mid">
        Stopped and isolated before hands go in; local rules and the maker come first. Never mix thickeners.
      </p>
      <ul>
        {lines.map((line) => {
          const place = list.grease.find((one) => one.id === line.id);
          return (
            <li
              key={line.id}
              className="border-t border-rule py-1.5 grid sm:grid-cols-[minmax(0,1fr)_8rem] gap-x-4 items-center"
            >
              {mayKeep ? (
                <Tick
                  label={<DueLine reader={reader} line={line} kind={place?.kind ?? ""} />}
                  checked={ticked.includes(line.id)}
                  onChange={(checked) => {
                    setProblem(null);
                    setTicked((was) => (checked ? [...was, line.id] : was.filter((other) => other !== line.id)));
                  }}
                />
              ) : (
                <DueLine reader={reader} line={line} kind={place?.kind ?? ""} />
              )}
              {ticked.includes(line.id) && (
                <Field
                  label={`Grams, ${line.name}`}
                  inputMode="decimal"
                  autoComplete="off"
                  hint="empty: not weighed"
                  value={grams[line.id] ?? ""}
                  onChange={(event) => setGrams((was) => ({ ...was, [line.id]: event.target.value }))}
                  error={problem?.id === line.id ? <Refused refusal={problem.refusal} /> : undefined}
                />
              )}
            </li>
          );
        })}
      </ul>
      {mayKeep && (
        <>
          <Tick label="Spread by a full turn, the other way too" checked={spread} onChange={setSpread} />
          {(problem?.id === "" || refusal) && (
            <p role="alert" className="text-outside font-semibold">
              {problem?.id === "" ? "Tick what was greased." : refusal && <Refused refusal={refusal} />}
            </p>
          )}
          <div>
            <Button kind="now" large type="submit" disabled={fetcher.state !== "idle"}>
              Greased: log it
            </Button>
          </div>
        </>
      )}
    </form>
  );
}

const soonest = (a: UpkeepDue, b: UpkeepDue): number =>
  (a.dueInDays ?? Number.POSITIVE_INFINITY) - (b.dueInDays ?? Number.POSITIVE_INFINITY);

function DueLine({ reader, line, kind }: { reader: Reader; line: UpkeepDue; kind: string }) {
  const overdue = line.dueInDays !== null && line.dueInDays <= 0;
  return (
    <span className="text-lg">
      <b>{line.name}</b>{" "}
      <span className={overdue ? "text-outside font-semibold" : "text-mid"}>{upkeepDueWords(reader, line)}</span>
      <span className="block text-mid text-base">
        {[
          kind,
          line.grams !== null && gramsText(reader, line.grams),
          line.last && `last ${shortDay(reader, line.last)}`,
        ]
          .filter(Boolean)
          .join(", ")}
      </span>
    </span>
  );
}

/** What was looked at just now: fine, or damage with what it is. Damage stays open, and a job follows. */
function Looked({ loaderData: { machine, due, mayKeep, hasStage } }: { loaderData: Loaded }) {
  const reader = useWords();
  const fetcher = useFetcher<{ refusal?: Refusal; logged?: string }>();
  const [id, setId] = useState(() => v7());
  const [found, setFound] = useState<Readonly<Record<string, LookFind>>>({});
  const [notes, setNotes] = useState<Readonly<Record<string, string>>>({});
  const [damage, setDamage] = useState<{ entry: string; what: string } | null>(null);
  const [problem, setProblem] = useState(false);
  const lines = due.filter(({ what }) => what === "look").sort(soonest);
  const log = (event: React.FormEvent) => {
    event.preventDefault();
    const items = Object.entries(found).map(([item, said]) => ({ id: item, found: said, note: notes[item] ?? "" }));
    if (items.length === 0) return setProblem(true);
    const bad = lines.filter((line) => found[line.id] === "damage").map(({ name }) => name);
    setDamage(bad.length > 0 ? { entry: id, what: bad.join(", ") } : null);
    fetcher.submit(
      { kind: "looked", id, items, note: "", madeAt: nowIso() },
      { method: "post", encType: "application/json" },
    );
    setId(v7());
    setFound({});
    setNotes({});
  };
  const refusal = fetcher.data?.refusal;
  return (
    <div className="grid gap-4">
      <form onSubmit={log} aria-label="Looked at" className="grid gap-2">
        <ul>
          {lines.map((line) => (
            <li key={line.id} className="border-t border-rule py-2 grid gap-2">
              <DueLine reader={reader} line={line} kind="" />
              {mayKeep && (
                <Choice
                  tight
                  legend={`How is ${line.name}?`}
                  name={`look-${line.id}`}
                  value={found[line.id] ?? "not"}
                  onChange={(value) => {
                    setProblem(false);
                    setFound((was) => {
                      const { [line.id]: _, ...rest } = was;
                      return value === "not" ? rest : { ...rest, [line.id]: value };
                    });
                  }}
                  options={[
                    { value: "not" as const, label: "Not looked at" },
                    { value: "fine" as const, label: "Fine" },
                    { value: "damage" as const, label: "Damage" },
                  ]}
                />
              )}
              {found[line.id] === "damage" && (
                <Field
                  label={`What is wrong with ${line.name}?`}
                  autoComplete="off"
                  maxLength={200}
                  value={notes[line.id] ?? ""}
                  onChange={(event) => setNotes((was) => ({ ...was, [line.id]: event.target.value }))}
                />
              )}
            </li>
          ))}
        </ul>
        {(problem || refusal) && (
          <p role="alert" className="text-outside font-semibold">
            {problem ? "Say of at least one how it is." : refusal && <Refused refusal={refusal} />}
          </p>
        )}
        {mayKeep && (
          <div>
            <Button kind="line" large type="submit" disabled={fetcher.state !== "idle"}>
              Looked at: log it
            </Button>
          </div>
        )}
      </form>
      {damage && fetcher.data?.logged === damage.entry && (
        <div role="status" className="border-l-8 border-outside pl-3 grid gap-2">
          <p className="text-lg">
            <b>Damage: {damage.what}.</b> It stands among the open points.
          </p>
          {hasStage && (
            <div>
              <Link
                to={`/machines/${machine.id}?reason=${encodeURIComponent(`Damage: ${damage.what}`)}`}
                className={buttonClass("now", true)}
              >
                Start a job for it
              </Link>
            </div>
          )}
        </div>
      )}
      {damage && fetcher.data?.logged === damage.entry && (
        <DamagePhotograph machineId={machine.id} of={damage.entry} shows={damage.what} />
      )}
    </div>
  );
}

function DamagePhotograph({ machineId, of, shows }: { machineId: string; of: string; shows: string }) {
  return (
    <FileForm
      to={`/machines/${machineId}/files`}
      label="Photograph the damage"
      types=".jpg,.jpeg,.png,.webp"
      prepare={shrinkPhotograph}
      waits
      className="grid gap-2"
    >
      <input type="hidden" name="names" value={of} />
      <input type="hidden" name="caption" value={shows} />
    </FileForm>
  );
}
