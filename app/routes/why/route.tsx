import { useEffect, useState } from "react";
import { data, Link, useFetcher } from "react-router";
import { v7 } from "uuid";
import { PracticePanel } from "~/app/features/practice/instrument-panel";
import { PlaceHead } from "~/app/features/shell/head";
import { heardByAll, suspectsOn, timedTwice } from "~/app/features/symptoms/line-known";
import { RunsDiffer } from "~/app/features/symptoms/runs-differ";
import { SuspectList } from "~/app/features/symptoms/suspect-list";
import { SymptomForm } from "~/app/features/symptoms/symptom-form";
import { lowered } from "~/app/features/words/count";
import { Refused } from "~/app/features/words/refused";
import { causeName, placeOfSuspect, symptomDetail, symptomTitle, twoTimingsWords } from "~/app/features/words/symptom";
import { shortDay } from "~/app/features/words/times";
import { useWords } from "~/app/features/words/use-words";
import { isId } from "~/app/session/is-id";
import { jsonObject } from "~/app/session/json-object";
import { asPerson, everyRole } from "~/app/session/session.server";
import { foundBehind, type SymptomKept, suspectsNow } from "~/core/logbook";
import type { Refusal } from "~/core/quantity";
import { mainsHum, type Suspect } from "~/core/symptoms";
import { mayWork } from "~/operations/context";
import { logSymptom } from "~/operations/log-symptom";
import { Button, buttonClass } from "~/ui/button";
import { Field } from "~/ui/field";
import type { Route } from "./+types/route";
import { loadWhy } from "./load-why.server";

export const meta: Route.MetaFunction = ({ loaderData }) => [
  { title: `Why does it do that? ${loaderData?.machine.name ?? ""}, Harmostat` },
];

export const loader = ({ params, context, request }: Route.LoaderArgs) =>
  asPerson(context, request, everyRole, (asked) => loadWhy(asked, params.machineId, new URL(request.url).searchParams));

/** Keeps a symptom, or what came of a suspect. */
export async function action({ params, context, request }: Route.ActionArgs) {
  const input = await jsonObject(request);
  return asPerson(context, request, mayWork, async (asked) => {
    const kept = await logSymptom(asked, { ...input, machineId: params.machineId });
    if (!kept.ok) return data({ refusal: kept.refusal }, { status: 400 });
    if (kept.value.kind !== "symptom") return data({ done: kept.value.id });
    const job = kept.value.jobId ? `&job=${kept.value.jobId}` : "";
    const stage = new URL(request.url).searchParams.get("stage");
    const of = stage && isId(stage) ? `&stage=${stage}` : "";
    return data({ onward: `/machines/${params.machineId}/why?of=${kept.value.id}${job}${of}` });
  });
}

type Loaded = Route.ComponentProps["loaderData"];

export default function Why({ loaderData }: Route.ComponentProps) {
  const { machine, of, symptoms, jobId } = loaderData;
  const reader = useWords();
  const back = jobId ? `/jobs/${jobId}/prove` : `/machines/${machine.id}`;
  const own = (id: string | null, stage = loaderData.stage) => {
    const search = new URLSearchParams({
      ...(id ? { of: id } : {}),
      ...(jobId ? { job: jobId } : {}),
      ...(stage ? { stage } : {}),
    }).toString();
    return `/machines/${machine.id}/why${search && `?${search}`}`;
  };
  const others = symptoms.filter(({ symptom }) => symptom.id !== of?.symptom.id);
  const stageName = (id: string | null) =>
    id === null
      ? "The machine"
      : (loaderData.line.stages.find((stage) => stage.id === id)?.name ?? "A stage that is gone");
  return (
    <>
      <PlaceHead />
      <main className="p-5 max-sm:p-3.5 grid gap-6">
        <header className="flex flex-wrap gap-x-6 gap-y-2 items-baseline">
          <h1 className="text-3xl font-bold">{of ? symptomTitle(of.symptom.body) : "Why does it do that?"}</h1>
          <p className="text-lg text-mid">
            <Link to={back} className="text-ink">
              {jobId ? "Back to the job" : machine.name}
            </Link>
            {of &&
              `. ${symptomDetail(reader, of.symptom.body)}. ${of.symptom.madeByName}, ${shortDay(reader, of.symptom.madeAt)}`}
          </p>
        </header>
        {loaderData.stage && (
          <p className="text-lg">
            Suspects of {stageName(loaderData.stage)} alone.{" "}
            <Link to={own(of?.symptom.id ?? null, null)}>Of the whole machine</Link>
          </p>
        )}
        {of ? (
          <Hunt key={of.symptom.id} of={of} loaded={loaderData} anew={own(null)} />
        ) : (
          loaderData.mayWork && (
            <SymptomForm
              machineId={machine.id}
              jobId={jobId}
              line={loaderData.line}
              stageId={loaderData.stage}
              back={back}
            />
          )
        )}
        <RunsDiffer runs={loaderData.runs} stageName={stageName} />
        {others.length > 0 && (
          <section aria-labelledby="earlier">
            <h2 id="earlier" className="text-xl font-bold">
              What it did before
            </h2>
            <ul className="text-lg">
              {others.slice(0, 30).map((kept) => (
                <li key={kept.symptom.id}>
                  <Link to={own(kept.symptom.id)}>{symptomTitle(kept.symptom.body)}</Link>,{" "}
                  {shortDay(reader, kept.symptom.madeAt)}: {endWords(kept, loaderData.line)}
                </li>
              ))}
            </ul>
          </section>
        )}
      </main>
      <PracticePanel machineId={machine.id} />
    </>
  );
}

/** "found: a damaged tooth, the driven wheel of the knife gears". */
function endWords(kept: SymptomKept, line: Loaded["line"]): string {
  const found = foundBehind(kept);
  if (!found) return "not found yet";
  const { cause, ownCause, stageId, note } = found.body;
  const what = placeOfSuspect(found.body, line.stages.find(({ id }) => id === stageId)?.name);
  return `found: ${[cause ? lowered(causeName(cause, ownCause)) : "", what, note].filter(Boolean).join(", ")}`;
}

/** The suspects of a symptom that was kept, gone after one by one. */
function Hunt({ of, loaded, anew }: { of: SymptomKept; loaded: Loaded; anew: string }) {
  const { line, jobId } = loaded;
  const { kinds, when, motorRpm, again } = of.symptom.body;
  const twice = timedTwice(line, of.symptom.body.heard, motorRpm, again);
  const heard = heardByAll(of.symptom.body.heard, twice);
  const before = loaded.symptoms.flatMap((kept) => {
    const found = kept.symptom.seq < of.symptom.seq ? foundBehind(kept) : null;
    return found ? [found.body] : [];
  });
  const suspects = suspectsNow(
    suspectsOn(line, { kinds, when, heard, twice: twice?.find ?? null }, motorRpm, before),
    of.said,
  ).filter(({ stageId }) => loaded.stage === null || stageId === loaded.stage);
  const hum = mainsHum(heard);
  const [all, setAll] = useState(false);
  const ruledOut = suspects.filter(({ state }) => state === "ruled-out").length;
  const found = foundBehind(of);
  return (
    <section aria-label="Suspects" className="grid gap-4 max-w-4xl">
      <p className="text-xl font-semibold" role="status">
        {found
          ? `${endWords(of, line).replace(/^found/, "Found")}. Set it right, then run the case again.`
          : "Start with the first; each test is logged."}
        {ruledOut > 0 && ` ${ruledOut} ruled out.`}
      </p>
      {twice && <p className="border-l-4 border-near pl-3 text-lg">{twoTimingsWords[twice.find]}</p>}
      {hum !== null && <FromMains hz={hum} />}
      <SuspectList
        suspects={all ? suspects : suspects.slice(0, 5 + ruledOut)}
        line={line}
        {...(loaded.mayWork && {
          keys: (suspect) => (
            <SuspectKeys suspect={suspect} symptomId={of.symptom.id} jobId={jobId} done={suspect.state === "found"} />
          ),
        })}
      />
      <div className="flex flex-wrap gap-3">
        {!all && suspects.length > 5 + ruledOut && (
          <Button kind="quiet" large onClick={() => setAll(true)}>
            All {suspects.length} suspects
          </Button>
        )}
        <Link to={anew} className={buttonClass("quiet", true)}>
          Something else it does
        </Link>
        <Link to="/rules" className={buttonClass("quiet", true)}>
          Rules of the house
        </Link>
      </div>
    </section>
  );
}

/** What does not turn at all comes first to mind where it hums as the mains do. */
function FromMains({ hz }: { hz: number }) {
  return (
    <p className="border-l-4 border-near pl-3 text-lg">
      As often as mains of {hz} Hz hum ({2 * hz} Hz), whatever turns: run it at another speed. What stays as it was is
      electrical, or a fan beside it; only what changes with the speed is of the drive (common practice).
    </p>
  );
}

function SuspectKeys({
  suspect,
  symptomId,
  jobId,
  done,
}: {
  suspect: Suspect;
  symptomId: string;
  jobId: string | null;
  done: boolean;
}) {
  const fetcher = useFetcher<{ refusal?: Refusal; done?: string }>();
  const [note, setNote] = useState("");
  const [ids, setIds] = useState(() => ({ found: v7(), "ruled-out": v7() }));
  useEffect(() => {
    if (!fetcher.data?.done) return;
    setNote("");
    setIds({ found: v7(), "ruled-out": v7() });
  }, [fetcher.data]);
  const [first] = suspect.causes;
  const say = (state: "found" | "ruled-out") =>
    fetcher.submit(
      {
        ...{ kind: "suspect", id: ids[state], jobId, names: symptomId, key: suspect.key, stageId: suspect.stageId },
        ...(suspect.beside ? { beside: suspect.beside } : {}),
        ...{ part: suspect.part, gear: suspect.gear, cause: state === "found" ? (first?.code ?? null) : null },
        ownRuleId: state === "found" ? (first?.own?.id ?? null) : null,
        ...{ state, test: first?.test ?? null, note },
      },
      { method: "post", encType: "application/json" },
    );
  if (done) return null;
  return (
    <div className="flex flex-wrap gap-3 items-end mt-2">
      <Field
        label="What came of it"
        autoComplete="off"
        value={note}
        onChange={(event) => setNote(event.target.value)}
      />
      <Button kind="line" large disabled={fetcher.state !== "idle"} onClick={() => say("ruled-out")}>
        Not that: ruled out
      </Button>
      <Button kind="line" large disabled={fetcher.state !== "idle"} onClick={() => say("found")}>
        Found it
      </Button>
      {fetcher.data?.refusal && (
        <p role="alert" className="text-outside font-semibold">
          <Refused refusal={fetcher.data.refusal} />
        </p>
      )}
    </div>
  );
}
