import { useRef, useState } from "react";
import { data, useRevalidator } from "react-router";
import { v7 } from "uuid";
import { PlaceHead } from "~/app/features/shell/head";
import { InstrumentForm } from "~/app/features/stores/instrument-form";
import { StoresNav } from "~/app/features/stores/stores-nav";
import { refusalWords } from "~/app/features/words/refusal";
import { dateWords, shortDay } from "~/app/features/words/times";
import { jsonObject } from "~/app/session/json-object";
import { asPerson, everyRole } from "~/app/session/session.server";
import { isOverdue } from "~/core/logbook";
import { shownIn } from "~/core/practice";
import type { Refusal } from "~/core/quantity";
import { keepInstrument } from "~/operations/instruments";
import { Button } from "~/ui/button";
import type { Route } from "./+types/instrument";
import { loadInstrument, loadInstruments } from "./load-instruments.server";

export const meta: Route.MetaFunction = ({ loaderData }) => [
  { title: `${loaderData?.instrument?.name ?? "An instrument"}, Harmostat` },
];

export async function loader({ params, context, request }: Route.LoaderArgs) {
  if (params.instrumentId !== "new")
    return asPerson(context, request, everyRole, (asked) => loadInstrument(asked, params.instrumentId));
  return asPerson(context, request, ["lead"], async (asked) => ({
    ...(await loadInstruments(asked)),
    instrument: null,
    certificates: [],
    timeZone: asked.person.timeZone,
  }));
}

export async function action({ context, request }: Route.ActionArgs) {
  const input = await jsonObject(request);
  return asPerson(context, request, ["lead"], async (asked) => {
    const kept = await keepInstrument(asked, input);
    return kept.ok ? data({ onward: "/stores/instruments" }) : data({ refusal: kept.refusal }, { status: 400 });
  });
}

export default function InstrumentPage({ loaderData }: Route.ComponentProps) {
  const { instrument, certificates, role, today, timeZone } = loaderData;
  const shown = instrument && shownIn(instrument);
  return (
    <>
      <PlaceHead />
      <main className="p-5 max-sm:p-3.5">
        <StoresNav here="instruments" />
        <h1 className="text-3xl font-bold mb-1">{instrument ? instrument.name : "An instrument"}</h1>
        {instrument && (
          <p className="mb-5">
            <span className="text-mid">
              {[instrument.kind, instrument.serial].filter(Boolean).join(", ")}; step{" "}
              {shown?.shown(instrument.resolution)}, ±{shown?.shown(instrument.expandedUncertainty)} {shown?.symbol} (k
              = {instrument.coverage}).{" "}
            </span>
            {isOverdue(instrument.dueOn, today) && (
              <b className="text-outside">Overdue since {dateWords(instrument.dueOn ?? "")}.</b>
            )}
          </p>
        )}
        <div className="grid xl:grid-cols-[minmax(0,1fr)_26rem] gap-x-12 gap-y-8">
          {role === "lead" ? (
            <InstrumentForm key={`${instrument?.id} ${instrument?.revision}`} instrument={instrument} />
          ) : (
            <p className="text-lg text-mid">Leads enter what a certificate says.</p>
          )}
          {instrument && (
            <section aria-labelledby="certificates">
              <h2 id="certificates" className="text-xl font-bold mb-1">
                Certificates
              </h2>
              <ul>
                {certificates.map((certificate) => (
                  <li key={certificate.id} className="border-t border-rule py-2">
                    <a href={`/stores/certificates/${certificate.id}`} className="text-ink">
                      {certificate.name}
                    </a>
                    <span className="block text-mid">
                      {shortDay(certificate.madeAt, timeZone)}, {certificate.madeByName}
                    </span>
                  </li>
                ))}
                {certificates.length === 0 && <li className="text-mid">None is kept here.</li>}
              </ul>
              {role === "lead" && <AddCertificate instrumentId={instrument.id} />}
            </section>
          )}
        </div>
      </main>
    </>
  );
}

function AddCertificate({ instrumentId }: { instrumentId: string }) {
  const { revalidate } = useRevalidator();
  const form = useRef<HTMLFormElement>(null);
  const [id, setId] = useState(() => v7());
  const [says, setSays] = useState<{ text: string; bad: boolean } | null>(null);
  const send = async (event: React.FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    const body = new FormData(event.currentTarget);
    setSays({ text: "Sending …", bad: false });
    const refusal = await post(`/stores/instruments/${instrumentId}/certificates`, body);
    if (refusal) return setSays({ text: refusalWords(refusal), bad: true });
    setSays({ text: "Kept.", bad: false });
    setId(v7());
    form.current?.reset();
    revalidate();
  };
  return (
    <form ref={form} onSubmit={send} className="grid gap-3 mt-3" encType="multipart/form-data">
      <input type="hidden" name="id" value={id} suppressHydrationWarning />
      <label className="block">
        <span className="block font-semibold mb-1">Certificate, PDF</span>
        <input
          type="file"
          name="file"
          accept=".pdf,application/pdf"
          className="min-h-12 file:min-h-12 file:px-4 file:font-semibold file:bg-panel file:border-2 file:border-ink file:text-ink file:mr-3 max-w-full"
        />
      </label>
      <div>
        <Button type="submit">Keep it</Button>
      </div>
      {says && (
        <p role={says.bad ? "alert" : "status"} className={says.bad ? "text-outside font-semibold" : ""}>
          {says.text}
        </p>
      )}
    </form>
  );
}

async function post(url: string, body: FormData): Promise<Refusal | null> {
  try {
    return ((await (await fetch(url, { method: "POST", body })).json()) as { refusal?: Refusal }).refusal ?? null;
  } catch {
    return { code: "offline-file", path: [], facts: {} };
  }
}
