import { headWords } from "~/app/features/record/head-words";
import { PrintHead } from "~/app/features/record/print-head";
import { PrintedEntries } from "~/app/features/record/printed-entries";
import { day } from "~/app/features/words/times";
import { useWords } from "~/app/features/words/use-words";
import { asPerson, everyRole } from "~/app/session/session.server";
import { StateMark } from "~/ui/state-mark";
import type { Route } from "./+types/machine-print";
import { loadMachineRecord } from "./load-record.server";

export const meta: Route.MetaFunction = ({ loaderData }) => [
  { title: `Logbook, ${loaderData?.machine.name}, Harmostat` },
];

export const loader = ({ params, context, request }: Route.LoaderArgs) =>
  asPerson(context, request, everyRole, (asked) => loadMachineRecord(asked, params.machineId));

/** The newest part of a machine's logbook, to be printed. */
export default function MachinePrint({
  loaderData: { machine, stages, stands, entries, now, head },
}: Route.ComponentProps) {
  const reader = useWords();
  return (
    <main className="p-8 max-sm:p-4 max-w-5xl mx-auto bg-panel print:p-0">
      <PrintHead path={`/machines/${machine.id}/record`} back={`/machines/${machine.id}`} />
      <h1 className="text-3xl font-bold">
        {machine.name}, <span className="figure">{machine.tag}</span>
      </h1>
      <p className="text-lg text-mid mb-6">
        Printed {day(reader, now)}, {headWords(head)}. The newest {entries.length} entries; the whole, with its hashes,
        is in the JSON file.
      </p>
      <section className="mb-8" aria-labelledby="stands">
        <h2 id="stands" className="text-xl font-bold border-b-2 border-ink">
          How it stands
        </h2>
        <ul>
          {stands.map(({ id, name, size, state, read, within }) => (
            <li key={id} className="grid grid-cols-[minmax(0,1fr)_auto_minmax(0,1fr)] gap-4 border-b border-rule py-1">
              <b>
                {name} <span className="figure">{size}</span>
              </b>
              <StateMark state={state} />
              <span>
                <span className="figure">{read}</span>, limits <span className="figure">{within}</span>
              </span>
            </li>
          ))}
        </ul>
      </section>
      <PrintedEntries entries={entries} stages={stages} />
    </main>
  );
}
