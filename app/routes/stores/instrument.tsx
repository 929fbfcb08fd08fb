import { data } from "react-router";
import { FileForm } from "~/app/features/files/file-form";
import { PlaceHead } from "~/app/features/shell/head";
import { InstrumentForm } from "~/app/features/stores/instrument-form";
import { StoresNav } from "~/app/features/stores/stores-nav";
import { dateWords, shortDay } from "~/app/features/words/times";
import { useWords } from "~/app/features/words/use-words";
import { jsonObject } from "~/app/session/json-object";
import { asPerson, everyRole } from "~/app/session/session.server";
import { isOverdue } from "~/core/logbook";
import { shownIn } from "~/core/practice";
import { keepInstrument } from "~/operations/instruments";
import type { Route } from "./+types/instrument";
import { loadInstrument, loadInstruments } from "./load-instruments.server";

export const meta: Route.MetaFunction = ({ loaderData }) => [
  { title: `${loaderData?.instrument?.name ?? "New instrument"}, Harmostat` },
];

export async function loader({ params, context, request }: Route.LoaderArgs) {
  if (params.instrumentId !== "new")
    return asPerson(context, request, everyRole, (asked) => loadInstrument(asked, params.instrumentId));
  return asPerson(context, request, ["lead"], async (asked) => ({
    ...(await loadInstruments(asked)),
    instrument: null,
    certificates: [],
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
  const reader = useWords();
  const { instrument, certificates, role, today } = loaderData;
  const shown = instrument && shownIn(instrument);
  return (
    <>
      <PlaceHead />
      <main className="p-5 max-sm:p-3.5">
        <StoresNav here="instruments" />
        <h1 className="text-3xl font-bold mb-1">{instrument ? instrument.name : "New instrument"}</h1>
        {instrument && (
          <p className="mb-5">
            <span className="text-mid">
              {[instrument.kind, instrument.serial].filter(Boolean).join(", ")}; step{" "}
              {shown?.shown(instrument.resolution)}, ±{shown?.shown(instrument.expandedUncertainty)} {shown?.symbol} (k
              = {instrument.coverage}).{" "}
            </span>
            {isOverdue(instrument.dueOn, today) && (
              <b className="text-outside">Overdue since {dateWords(reader, instrument.dueOn ?? "")}.</b>
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
                      {shortDay(reader, certificate.madeAt)}, {certificate.madeByName}
                    </span>
                  </li>
                ))}
                {certificates.length === 0 && <li className="text-mid">None is kept here.</li>}
              </ul>
              {role === "lead" && (
                <FileForm
                  to={`/stores/instruments/${instrument.id}/certificates`}
                  label="Certificate, PDF"
                  types=".pdf,application/pdf"
                  className="grid gap-3 mt-3 justify-items-start"
                />
              )}
            </section>
          )}
        </div>
      </main>
    </>
  );
}
