import { useState } from "react";
import { data } from "react-router";
import { v7 } from "uuid";
import { Posted } from "~/app/features/people/posted";
import { PlaceHead } from "~/app/features/shell/head";
import { day } from "~/app/features/words/times";
import { formOf } from "~/app/session/form-of";
import { asPerson } from "~/app/session/session.server";
import type { Account } from "~/data/queries/people";
import { addPerson, editPerson, letLeave } from "~/operations/people";
import { Field } from "~/ui/field";
import type { Route } from "./+types/route";
import { loadPeople } from "./load-people.server";

export const meta: Route.MetaFunction = () => [{ title: "People, Harmostat" }];

export const loader = ({ context, request }: Route.LoaderArgs) => asPerson(context, request, ["lead"], loadPeople);

export async function action({ context, request }: Route.ActionArgs) {
  const { what, ...input } = Object.fromEntries(await formOf(request));
  return asPerson(context, request, ["lead"], async (asked) => {
    const result =
      what === "add"
        ? await addPerson(asked, input)
        : what === "leave"
          ? await letLeave(asked, { ...input, left: input.left === "yes" })
          : await editPerson(asked, input);
    if (!result.ok) return data({ refusal: result.refusal }, { status: 400 });
    return data({ done: what === "add" ? "The account is open." : "Kept." });
  });
}

const roleOptions = [
  ["technician", "Technician: does jobs"],
  ["lead", "Lead: also machines, limits, stores, accounts"],
  ["reader", "Reader: looks and exports"],
] as const;

export default function People({ loaderData }: Route.ComponentProps) {
  const { accounts, here, timeZone } = loaderData;
  const present = accounts.filter(({ leftAt }) => leftAt === null);
  return (
    <>
      <PlaceHead />
      <main className="p-5 max-sm:p-3.5 grid xl:grid-cols-[minmax(0,1fr)_26rem] gap-x-12 gap-y-8">
        <div>
          <h1 className="text-3xl font-bold">
            {present.length === 1 ? "One person works here" : `${present.length} people work here`}
          </h1>
          <p className="text-mid mb-5">What somebody wrote stays under their name when their account is closed.</p>
          <ul aria-label="Accounts">
            {accounts.map((account) => (
              <AccountLine key={account.id} account={account} here={account.id === here} timeZone={timeZone} />
            ))}
          </ul>
        </div>
        <section aria-labelledby="add" className="grid gap-4 content-start">
          <h2 id="add" className="text-xl font-bold">
            An account more
          </h2>
          <NewAccount key={accounts.length} />
        </section>
      </main>
    </>
  );
}

/** Each has an id of its own, so that sending it twice opens one. */
function NewAccount() {
  const [id] = useState(() => v7());
  return (
    <Posted label="An account more" hidden={{ what: "add", id }} word="Open the account">
      {(error) => (
        <>
          <AccountFields error={error} />
          <Field
            label="First password"
            name="password"
            type="password"
            autoComplete="new-password"
            hint="Twelve characters or more; they change it under Account"
            error={error("password")}
          />
        </>
      )}
    </Posted>
  );
}

function AccountFields({ account, error }: { account?: Account; error: (field: string) => string | undefined }) {
  return (
    <>
      <Field label="Name" name="name" autoComplete="off" defaultValue={account?.name} error={error("name")} />
      <Field
        label="Sign-in name"
        name="signIn"
        autoComplete="off"
        autoCapitalize="none"
        defaultValue={account?.signIn}
        error={error("signIn")}
      />
      <label className="block">
        <span className="block font-semibold mb-1">Role</span>
        <select
          name="role"
          defaultValue={account?.role ?? "technician"}
          className="w-full min-h-12 px-2 bg-panel border-2 border-ink text-lg"
        >
          {roleOptions.map(([value, said]) => (
            <option key={value} value={value}>
              {said}
            </option>
          ))}
        </select>
        {error("role") && (
          <span role="alert" className="block text-outside font-semibold">
            {error("role")}
          </span>
        )}
      </label>
    </>
  );
}

function AccountLine({ account, here, timeZone }: { account: Account; here: boolean; timeZone: string }) {
  const gone = account.leftAt !== null;
  return (
    <li className="border-t border-rule py-3">
      <details>
        <summary className="min-h-12 content-center cursor-pointer">
          <b className="text-lg">{account.name}</b>
          {here && " (you)"} <span className="text-mid">{account.signIn}</span>
          <span className="block text-mid">
            {account.role}, since {day(account.createdAt, timeZone)}
            {account.hasPin && ", has a PIN"}
            {account.leftAt && `; closed ${day(account.leftAt, timeZone)}`}
          </span>
        </summary>
        <div className="grid md:grid-cols-2 gap-8 py-3">
          {!gone && (
            <Posted label={`Account of ${account.name}`} hidden={{ what: "edit", id: account.id }} word="Keep">
              {(error) => (
                <>
                  <AccountFields account={account} error={error} />
                  <Field
                    label="New password"
                    name="password"
                    type="password"
                    autoComplete="new-password"
                    hint="Empty leaves it; a new one ends their sessions"
                    error={error("password")}
                  />
                </>
              )}
            </Posted>
          )}
          <Posted
            label={`${gone ? "Open" : "Close"} the account of ${account.name}`}
            hidden={{ what: "leave", id: account.id, left: gone ? "no" : "yes" }}
            word={gone ? "Open the account again" : "Close the account"}
            kind="line"
          />
        </div>
      </details>
    </li>
  );
}
