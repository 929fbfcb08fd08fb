import { useState } from "react";
import { Form, Link } from "react-router";
import { entryGroups } from "~/app/features/record/entry-groups";
import { PlaceHead } from "~/app/features/shell/head";
import { formatNumber } from "~/app/features/words/figure";
import { clock, day } from "~/app/features/words/times";
import { useWords } from "~/app/features/words/use-words";
import { asPerson, everyRole } from "~/app/session/session.server";
import { Button, buttonClass } from "~/ui/button";
import { DateField } from "~/ui/date-field";
import { Field, Select } from "~/ui/field";
import { Fold } from "~/ui/fold";
import type { Route } from "./+types/route";
import { recordsAddress, recordsAsked } from "./asked";
import { loadRecords } from "./load-records.server";

export const meta: Route.MetaFunction = () => [{ title: "Records, Harmostat" }];

export async function loader({ context, request }: Route.LoaderArgs) {
  const asked = recordsAsked(new URL(request.url).searchParams);
  return asPerson(context, request, everyRole, (by) => loadRecords(by, asked));
}

/** All logbooks of the workshop searched together: by words, kind, part, person and days; what was found can be taken away. */
export default function Records({ loaderData }: Route.ComponentProps) {
  const reader = useWords();
  const { lines, older, people, asked, any, kept, oldest } = loaderData;
  const take = recordsAddress(asked, null);
  return (
    <>
      <PlaceHead />
      <main className="p-5 max-sm:p-3.5 grid gap-6">
        <h1 className="text-3xl max-sm:text-2xl font-bold">
          {!any
            ? "Look through every logbook"
            : lines.length === 0
              ? "Nothing was found"
              : asked.before
                ? "Older ones"
                : older
                  ? `The newest ${lines.length} of what was found`
                  : `${lines.length} found`}
        </h1>
        <Ask key={take} {...{ asked, people }} />
        {any && lines.length > 0 && (
          <p className="flex flex-wrap gap-3">
            <a href={`/records.csv${take}`} download className={buttonClass("line")}>
              All of it as CSV
            </a>
            <a href={`/records.json${take}`} download className={buttonClass("line")}>
              As JSON
            </a>
          </p>
        )}
        <ol>
          {lines.map((line) => (
            <li key={line.id} className="border-t border-rule py-2 grid sm:grid-cols-[12rem_minmax(0,1fr)] gap-x-6">
              <span className="text-mid">
                {day(reader, line.madeAt)}
                <span className="block">
                  {clock(reader, line.madeAt)}, {line.madeByName}
                </span>
              </span>
              <span className="min-w-0">
                <Link to={`/machines/${line.machineId}?before=${line.seq + 1}#logbook`} className="text-ink">
                  {line.machineName}, {line.tag}
                  {line.stageName && `, ${line.stageName}`}
                </Link>
                <b className="block">{line.title}</b>
                {line.detail && <span className="block break-words">{line.detail}</span>}
              </span>
            </li>
          ))}
        </ol>
        <p className="flex gap-3">
          {older && (
            <Link to={recordsAddress(asked, older)} className={buttonClass("line")}>
              Older
            </Link>
          )}
          {asked.before && (
            <Link to={take} className={buttonClass("quiet")}>
              The newest
            </Link>
          )}
        </p>
        <Fold summary="What is kept, and for how long">
          <div className="grid gap-2 max-w-3xl">
            <p>
              {formatNumber(reader, kept.entries, 0)} entries of {formatNumber(reader, kept.machines, 0)} machines
              {oldest && `, the oldest of ${day(reader, oldest)}`}. A logbook only grows: nothing in it is changed or
              deleted, and nothing grows too old for it. A machine out of service keeps its logbook.
            </p>
            <p>
              Names stay on what was signed; the account of somebody who has left can be struck, with what was kept for
              signing in. A session ends after twelve hours; a browser not seen for 400 days is forgotten. What is typed
              and not entered yet is kept until it is entered.
            </p>
            <p>How long records have to be kept is for your own rules: nothing here ends that time by itself.</p>
          </div>
        </Fold>
      </main>
    </>
  );
}

function Ask({ asked, people }: Pick<Route.ComponentProps["loaderData"], "asked" | "people">) {
  const [from, setFrom] = useState(asked.from ?? "");
  const [to, setTo] = useState(asked.to ?? "");
  return (
    <Form role="search" aria-label="In all logbooks" className="grid gap-3 sm:grid-cols-2 lg:grid-cols-3 items-start">
      <Field
        label="Words"
        hint="Every word, from its beginning: stall knock"
        name="q"
        type="search"
        defaultValue={asked.words}
        autoFocus
      />
      <Field label="Machine, tag or stage" name="part" type="search" defaultValue={asked.part} autoComplete="off" />
      <Select label="What" name="kind" defaultValue={asked.group ?? ""}>
        <option value="">anything</option>
        {Object.entries(entryGroups).map(([key, { words }]) => (
          <option key={key} value={key}>
            {words}
          </option>
        ))}
      </Select>
      <Select label="By whom" name="by" defaultValue={asked.personId ?? ""}>
        <option value="">anybody</option>
        {people.map(({ id, name }) => (
          <option key={id} value={id}>
            {name}
          </option>
        ))}
      </Select>
      <DateField label="From" name="from" value={from} onChange={setFrom} />
      <DateField label="Until" name="to" value={to} onChange={setTo} />
      <div>
        <Button kind="now" large type="submit">
          Find
        </Button>
      </div>
    </Form>
  );
}
