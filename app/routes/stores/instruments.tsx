import { useMemo } from "react";
import { Link } from "react-router";
import { PlaceHead } from "~/app/features/shell/head";
import { StoresNav } from "~/app/features/stores/stores-nav";
import type { Reader } from "~/app/features/words/reader";
import { dateWords } from "~/app/features/words/times";
import { useWords } from "~/app/features/words/use-words";
import { asPerson, everyRole } from "~/app/session/session.server";
import { isOverdue } from "~/core/logbook";
import { shownIn } from "~/core/practice";
import type { Instrument } from "~/core/records";
import { buttonClass } from "~/ui/button";
import { type Column, DataTable } from "~/ui/data-table";
import type { Route } from "./+types/instruments";
import { loadInstruments } from "./load-instruments.server";

export const meta: Route.MetaFunction = () => [{ title: "Instruments, Harmostat" }];

export const loader = ({ context, request }: Route.LoaderArgs) =>
  asPerson(context, request, everyRole, loadInstruments);

export default function Instruments({ loaderData: { instruments, role, today } }: Route.ComponentProps) {
  const reader = useWords();
  const columns = useMemo(() => columnsOf(reader, today), [reader, today]);
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
        {instruments.length > 0 && (
          <DataTable
            label="Instruments"
            name="instruments"
            find="Find by name, kind or serial"
            columns={columns}
            rows={instruments}
            rowKey={({ id }) => id}
          />
        )}
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

const columnsOf = (reader: Reader, today: string): Column<Instrument>[] => [
  {
    key: "name",
    head: "Instrument",
    value: ({ name, kind, serial }) => [name, kind, serial].join(" "),
    cell: ({ id, name, kind, serial, retiredAt }) => (
      <>
        <Link to={id} className="text-lg font-semibold text-ink">
          {name}
        </Link>
        <span className="block text-mid">
          {[kind, serial, retiredAt ? "out of use" : ""].filter(Boolean).join(", ")}
        </span>
      </>
    ),
  },
  {
    key: "step",
    head: "Step",
    figures: true,
    value: ({ dimension, resolution }) => `${dimension} ${resolution.toFixed(6).padStart(16, "0")}`,
    cell: (instrument) => `${shownIn(instrument).shown(instrument.resolution)} ${shownIn(instrument).symbol}`,
  },
  {
    key: "uncertainty",
    head: "Good to",
    figures: true,
    value: ({ dimension, expandedUncertainty: u }) => `${dimension} ${u.toFixed(6).padStart(16, "0")}`,
    cell: (instrument) =>
      `±${shownIn(instrument).shown(instrument.expandedUncertainty)} ${shownIn(instrument).symbol}, k = ${instrument.coverage}`,
  },
  {
    key: "due",
    head: "Calibration",
    value: ({ dueOn }) => dueOn,
    cell: ({ dueOn, retiredAt }) => {
      const over = isOverdue(dueOn, today) && !retiredAt;
      if (!dueOn) return "Nobody has said when it is due";
      return (
        <span className={over ? "text-outside font-semibold" : ""}>
          {over ? "Overdue since" : "Due"} {dateWords(reader, dueOn)}
        </span>
      );
    },
  },
];
