import { Link } from "react-router";
import { PlaceHead } from "~/app/features/shell/head";
import { StoresNav } from "~/app/features/stores/stores-nav";
import { dateWords } from "~/app/features/words/times";
import { useWords } from "~/app/features/words/use-words";
import { asPerson, everyRole } from "~/app/session/session.server";
import { isOverdue } from "~/core/logbook";
import { shownIn } from "~/core/practice";
import type { Instrument } from "~/core/records";
import { buttonClass } from "~/ui/button";
import type { Route } from "./+types/instruments";
import { loadInstruments } from "./load-instruments.server";

export const meta: Route.MetaFunction = () => [{ title: "Instruments, Harmostat" }];

export const loader = ({ context, request }: Route.LoaderArgs) =>
  asPerson(context, request, everyRole, loadInstruments);

export default function Instruments({ loaderData: { instruments, role, today } }: Route.ComponentProps) {
  const inUse = instruments.filter(({ retiredAt }) => !retiredAt);
  const overdue = inUse.filter(({ dueOn }) => isOverdue(dueOn, today)).length;
  return (
    <>
      <PlaceHead />
      <main className="p-5 max-sm:p-3.5">
        <StoresNav here="instruments" />
        <div className="flex flex-wrap gap-4 justify-between items-start mb-4">
          <h1 className="text-3xl max-sm:text-2xl font-bold">{instrumentNews(inUse.length, overdue)}</h1>
          {role === "lead" && (
            <Link to="new" className={buttonClass("now", true)}>
              Enter an instrument
            </Link>
          )}
        </div>
        <ul aria-label="Instruments">
          {instruments.map((instrument) => (
            <InstrumentLine key={instrument.id} instrument={instrument} today={today} />
          ))}
        </ul>
        {instruments.length === 0 && (
          <p className="text-lg text-mid">No instrument is entered yet. A round needs one: enter it first.</p>
        )}
      </main>
    </>
  );
}

function instrumentNews(count: number, overdue: number): string {
  if (count === 0) return "No instruments yet";
  if (overdue === 0) return count === 1 ? "One instrument, in date" : `${count} instruments, all in date`;
  return overdue === 1 ? "One instrument is overdue" : `${overdue} instruments are overdue`;
}

function InstrumentLine({ instrument, today }: { instrument: Instrument; today: string }) {
  const reader = useWords();
  const { symbol: unit, shown } = shownIn(instrument);
  const over = isOverdue(instrument.dueOn, today) && !instrument.retiredAt;
  return (
    <li className="border-t border-rule py-2 grid sm:grid-cols-[minmax(0,1fr)_14rem_15rem] gap-x-5 items-center">
      <div>
        <Link to={instrument.id} className="text-lg font-semibold text-ink">
          {instrument.name}
        </Link>
        <span className="block text-mid">
          {[instrument.kind, instrument.serial, instrument.retiredAt ? "out of use" : ""].filter(Boolean).join(", ")}
        </span>
      </div>
      <p className="figure">
        step {shown(instrument.resolution)} {unit}
        <span className="block">
          ±{shown(instrument.expandedUncertainty)} {unit}, k = {instrument.coverage}
        </span>
      </p>
      <p className={over ? "text-outside font-semibold" : ""}>
        {instrument.dueOn
          ? `${over ? "Overdue since" : "Due"} ${dateWords(reader, instrument.dueOn)}`
          : "Nobody has said when it is due"}
      </p>
    </li>
  );
}
