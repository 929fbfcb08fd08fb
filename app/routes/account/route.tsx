import { data } from "react-router";
import { GivePassword } from "~/app/features/identity/give-password";
import { AccountForm } from "~/app/features/people/account-form";
import { CalendarKeyPane } from "~/app/features/plan/calendar-key-pane";
import { PlaceHead } from "~/app/features/shell/head";
import { agoWords, clockOrDay } from "~/app/features/words/times";
import { useWords } from "~/app/features/words/use-words";
import { formOf } from "~/app/session/form-of";
import { originContext } from "~/app/session/request-context";
import { asPerson, everyRole, sessionIdOf, statusOf } from "~/app/session/session.server";
import { deviceIdIn } from "~/app/session/session-cookie";
import { accept, type Result } from "~/core/quantity";
import { dropKey, makeCalendarKey } from "~/operations/calendar-key";
import { changePassword, changePin, endSessions, prefer, shareDevice } from "~/operations/own-account";
import { buttonClass } from "~/ui/button";
import { Field, Select } from "~/ui/field";
import type { Route } from "./+types/route";
import { deviceWords } from "./device-words";
import { loadAccount } from "./load-account.server";

export const meta: Route.MetaFunction = () => [{ title: "Account, Harmostat" }];

export const loader = ({ context, request }: Route.LoaderArgs) =>
  asPerson(context, request, everyRole, async (asked) => loadAccount(asked, await sessionIdOf(request)));

export async function action({ context, request }: Route.ActionArgs) {
  const { what, ...input } = Object.fromEntries(await formOf(request));
  return asPerson(context, request, everyRole, async (asked) => {
    const here = await sessionIdOf(request);
    const answer = async (work: Promise<Result<unknown>>, done: string) => {
      const result = await work;
      return result.ok ? data({ done }) : data({ refusal: result.refusal }, statusOf(result.refusal, 400));
    };
    switch (what) {
      case "password":
        return answer(changePassword(asked, here, input), "Changed. Every other session of yours has ended.");
      case "pin":
        return answer(changePin(asked, input), input.pin === "" ? "The PIN is gone." : "The PIN is set.");
      case "shared": {
        const device = await deviceIdIn(request.headers.get("cookie"));
        return answer(shareDevice(asked, device, input), "Kept.");
      }
      case "session":
        return answer(endSessions(asked, here, input), "Ended.");
      case "calendar": {
        const made = await makeCalendarKey(asked, input);
        return made.ok
          ? data({ calendar: `${context.get(originContext)}/calendar.ics?key=${made.value.key}` })
          : data({ refusal: made.refusal }, { status: 400 });
      }
      case "no-calendar":
        return answer(dropKey(asked), "Taken back.");
      case "prefer": {
        const kept = await prefer(asked, input);
        if (!kept.ok) return data({ refusal: kept.refusal }, { status: 400 });
        const room = `room=${kept.value.room}; Path=/; Max-Age=31536000; SameSite=Lax`;
        return data({ done: "Kept." }, { headers: { "Set-Cookie": room } });
      }
      default:
        return answer(Promise.resolve(accept(true)), "");
    }
  });
}

const roleWords = {
  technician: "Technician: does jobs",
  lead: "Lead: jobs, machines, limits, stores, accounts",
  reader: "Reader: looks and exports",
};

export default function AccountPage({ loaderData }: Route.ComponentProps) {
  const reader = useWords();
  const { name, role, hasPin, sessions, preferences, now, shared, byPin } = loaderData;
  return (
    <>
      <PlaceHead />
      <main className="p-5 max-sm:p-3.5 grid lg:grid-cols-2 gap-x-12 gap-y-9 max-w-6xl">
        <div className="lg:col-span-2">
          <h1 className="text-3xl font-bold">{name}</h1>
          <p className="text-mid">{roleWords[role]}</p>
        </div>
        <section aria-labelledby="shown" className="grid gap-4 content-start">
          <h2 id="shown" className="text-xl font-bold">
            How things are shown
          </h2>
          <AccountForm label="How things are shown" hidden={{ what: "prefer" }} word="Keep">
            {() => (
              <div className="grid sm:grid-cols-2 gap-4">
                {choices.map(({ name: field, label, options }) => (
                  <Select key={field} label={label} name={field} defaultValue={preferences[field] ?? options[0]?.[0]}>
                    {options.map(([value, said]) => (
                      <option key={value} value={value}>
                        {said}
                      </option>
                    ))}
                  </Select>
                ))}
              </div>
            )}
          </AccountForm>
        </section>
        <section aria-labelledby="sessions" className="grid gap-3 content-start">
          <h2 id="sessions" className="text-xl font-bold">
            Where you are signed in
          </h2>
          <ul aria-label="Sessions">
            {sessions.map((session) => (
              <li
                key={session.name}
                className="border-t border-rule py-2 flex flex-wrap gap-x-4 gap-y-1 items-center justify-between"
              >
                <span>
                  <b>{deviceWords(session.device)}</b>
                  {session.here && ", here"}
                  <span className="block text-mid">
                    since {clockOrDay(reader, session.beganAt, now)}, last used {agoWords(reader, session.seenAt, now)}
                  </span>
                </span>
                {!session.here && (
                  <AccountForm
                    label={`End ${session.name}`}
                    hidden={{ what: "session", session: session.name }}
                    word="End it"
                    kind="quiet"
                  />
                )}
              </li>
            ))}
          </ul>
          {sessions.length > 1 && (
            <AccountForm
              label="End the others"
              hidden={{ what: "session", session: "others" }}
              word="End all but this one"
              kind="line"
            />
          )}
        </section>
        <section aria-labelledby="tablet" className="grid gap-3 content-start">
          <h2 id="tablet" className="text-xl font-bold">
            This tablet
          </h2>
          <p>
            {shared
              ? "Several people use it: signatures ask who it is, as the workshop has it."
              : "Yours alone: nobody has said that others use it."}
          </p>
          <AccountForm
            label="This tablet"
            hidden={{ what: "shared", shared: shared ? "no" : "yes" }}
            word={shared ? "It is mine alone" : "Several people use it"}
            kind="line"
          />
          {byPin ? (
            <p className="text-mid">Taken over with a PIN: what is kept of you is given out behind the password.</p>
          ) : (
            <a href="/account/data.json" download className={`${buttonClass("line", true)} justify-self-start`}>
              What is kept of you, as a file
            </a>
          )}
        </section>
        <CalendarKeyPane known={loaderData.calendar} byPin={byPin} now={now} />
        <section aria-labelledby="pin" className="grid gap-4 content-start">
          <h2 id="pin" className="text-xl font-bold">
            {hasPin ? "Your PIN on shared tablets" : "A PIN for shared tablets"}
          </h2>
          <AccountForm label="PIN" hidden={{ what: "pin" }} word={hasPin ? "Change the PIN" : "Set the PIN"}>
            {(error) => (
              <div className="grid sm:grid-cols-2 gap-4">
                <Field
                  label="PIN"
                  name="pin"
                  type="password"
                  inputMode="numeric"
                  autoComplete="off"
                  hint={hasPin ? "Four to eight digits; empty takes it away" : "Four to eight digits"}
                  error={error("pin")}
                />
                <Field
                  label="Your password"
                  name="present"
                  type="password"
                  autoComplete="current-password"
                  error={error("present")}
                />
              </div>
            )}
          </AccountForm>
        </section>
        <section aria-labelledby="password" className="grid gap-4 content-start">
          <h2 id="password" className="text-xl font-bold">
            Password
          </h2>
          {byPin ? (
            <GivePassword />
          ) : (
            <AccountForm label="Password" hidden={{ what: "password" }} word="Change the password" kind="line">
              {(error) => (
                <div className="grid sm:grid-cols-2 gap-4">
                  <Field
                    label="Present password"
                    name="present"
                    type="password"
                    autoComplete="current-password"
                    error={error("present")}
                  />
                  <Field
                    label="New password"
                    name="password"
                    type="password"
                    autoComplete="new-password"
                    hint="Twelve characters or more; a sentence is good"
                    error={error("password")}
                  />
                </div>
              )}
            </AccountForm>
          )}
        </section>
      </main>
    </>
  );
}

const choices = [
  {
    name: "decimal",
    label: "Decimal sign",
    options: [
      ["point", "point: 0.15"],
      ["comma", "comma: 0,15"],
    ],
  },
  {
    name: "units",
    label: "Units",
    options: [
      ["machine", "as the machine says"],
      ["metric", "metric: 0.15 mm, 40 N"],
      ["inch", "inch: 0.0059 in, 9.0 lbf"],
    ],
  },
  {
    name: "school",
    label: "Where a round is set",
    options: [
      ["centre-of-band", "middle of its limits"],
      ["tight-spot", "tight spot just inside"],
    ],
  },
  {
    name: "room",
    label: "Room",
    options: [
      ["bright", "bright"],
      ["dark", "dark"],
    ],
  },
] as const;
