import { useState } from "react";
import { data } from "react-router";
import { v7 } from "uuid";
import { GivePassword } from "~/app/features/identity/give-password";
import { AccountForm } from "~/app/features/people/account-form";
import { PlaceHead } from "~/app/features/shell/head";
import { formatNumber } from "~/app/features/words/figure";
import { agoWords, day } from "~/app/features/words/times";
import { useWords } from "~/app/features/words/use-words";
import { formOf } from "~/app/session/form-of";
import { backupContext, sealContext } from "~/app/session/request-context";
import { asPerson } from "~/app/session/session.server";
import { parseNumber } from "~/core/quantity";
import type { Account } from "~/data/queries/people";
import { addPerson, editPerson, letLeave, setRules, strikePerson } from "~/operations/people";
import { buttonClass } from "~/ui/button";
import { Field, Select } from "~/ui/field";
import type { Route } from "./+types/route";
import { loadPeople } from "./load-people.server";

export const meta: Route.MetaFunction = () => [{ title: "People, Harmostat" }];

export const loader = ({ context, request }: Route.LoaderArgs) =>
  asPerson(context, request, ["lead"], async (asked) =>
    asked.how === "pin"
      ? null
      : {
          ...(await loadPeople(asked)),
          backupAt: context.get(backupContext)(),
          keyId: context.get(sealContext).id.toString("hex").slice(0, 16),
        },
  );

export async function action({ context, request }: Route.ActionArgs) {
  const { what, ...input } = Object.fromEntries(await formOf(request));
  return asPerson(context, request, ["lead"], async (asked) => {
    const result =
      what === "add"
        ? await addPerson(asked, input)
        : what === "leave"
          ? await letLeave(asked, { ...input, left: input.left === "yes" })
          : what === "strike"
            ? await strikePerson(asked, input)
            : what === "rules"
              ? await setRules(asked, rulesOf(input))
              : await editPerson(asked, input);
    if (!result.ok) return data({ refusal: result.refusal }, { status: 400 });
    return data({ done: what === "add" ? "The account is open." : "Kept." });
  });
}

/** The house's rules as typed; a mass that is no number is refused as one. */
const rulesOf = (input: Record<string, unknown>) => {
  const mass = parseNumber(String(input.liftLimitKg ?? ""));
  return { ...input, liftLimitKg: mass.ok ? mass.value : Number.NaN };
};

/** The schools stand side by side on the job; this is the one it opens with. */
const readOptions = [
  ["numbers", "by number, with an instrument"],
  ["feel", "by feel"],
  ["paper", "with paper"],
  ["print", "by contact print"],
  ["pins", "with pins, drills or feelers"],
] as const;

const roleOptions = [
  ["technician", "Technician: does jobs"],
  ["lead", "Lead: also machines, limits, stores, accounts"],
  ["reader", "Reader: looks and exports"],
] as const;

export default function People({ loaderData }: Route.ComponentProps) {
  const reader = useWords();
  if (!loaderData) return <PasswordFirst />;
  const { accounts, here, signAsks, liftLimitKg, readFirst } = loaderData;
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
              <AccountLine key={account.id} account={account} here={account.id === here} />
            ))}
          </ul>
        </div>
        <section aria-labelledby="add" className="grid gap-4 content-start">
          <h2 id="add" className="text-xl font-bold">
            Add a person
          </h2>
          <NewAccount key={accounts.length} />
          <h2 className="text-xl font-bold mt-6">House rules</h2>
          <AccountForm label="House rules" hidden={{ what: "rules" }} word="Keep" kind="line">
            {(error) => (
              <>
                <Field
                  label="Two people lift what is over"
                  hint="kg; 25 is the reference mass of ISO 11228-1"
                  name="liftLimitKg"
                  inputMode="decimal"
                  defaultValue={formatNumber(reader, liftLimitKg, Number.isInteger(liftLimitKg) ? 0 : 1)}
                  error={error("liftLimitKg")}
                />
                <SelectField
                  label="Signing asks for the PIN or password"
                  name="signAsks"
                  defaultValue={signAsks}
                  options={signOptions}
                  error={error("signAsks")}
                />
                <SelectField
                  label="A stage is read first"
                  name="readFirst"
                  defaultValue={readFirst}
                  options={readOptions}
                  error={error("readFirst")}
                />
              </>
            )}
          </AccountForm>
          <h2 className="text-xl font-bold mt-6">Backup and seals</h2>
          <p>
            {loaderData.backupAt
              ? `The last good backup was made ${agoWords(reader, loaderData.backupAt, loaderData.now)}.`
              : "No backup is known."}
          </p>
          <p>
            {loaderData.sealedAt
              ? `The logbooks were last sealed ${agoWords(reader, loaderData.sealedAt, loaderData.now)}, key ${loaderData.keyId}.`
              : "Nothing was sealed yet."}
          </p>
        </section>
      </main>
    </>
  );
}

const signOptions = [
  ["always", "always"],
  ["shared", "on tablets that several people use"],
  ["never", "never"],
] as const;

function SelectField({
  label,
  name,
  defaultValue,
  options,
  error,
}: {
  label: string;
  name: string;
  defaultValue: string;
  options: readonly (readonly [value: string, said: string])[];
  error: string | undefined;
}) {
  return (
    <Select label={label} name={name} defaultValue={defaultValue} error={error}>
      {options.map(([value, said]) => (
        <option key={value} value={value}>
          {said}
        </option>
      ))}
    </Select>
  );
}

/** A PIN opens no accounts. */
function PasswordFirst() {
  return (
    <>
      <PlaceHead />
      <main className="p-5 max-sm:p-3.5 grid gap-4 max-w-xl">
        <h1 className="text-3xl font-bold">Accounts are kept behind the password</h1>
        <p className="text-lg">This tablet was taken over with a PIN.</p>
        <GivePassword />
      </main>
    </>
  );
}

/** Each has an id of its own, so that sending it twice opens one. */
function NewAccount() {
  const [id] = useState(() => v7());
  return (
    <AccountForm label="Add a person" hidden={{ what: "add", id }} word="Add this person">
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
    </AccountForm>
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
      <SelectField
        label="Role"
        name="role"
        defaultValue={account?.role ?? "technician"}
        options={roleOptions}
        error={error("role")}
      />
    </>
  );
}

function AccountLine({ account, here }: { account: Account; here: boolean }) {
  const reader = useWords();
  const gone = account.leftAt !== null;
  return (
    <li className="border-t border-rule py-3">
      <details>
        <summary className="min-h-12 content-center cursor-pointer">
          <b className="text-lg">{account.name}</b>
          {here && " (you)"} <span className="text-mid">{account.signIn}</span>
          <span className="block text-mid">
            {account.role}, since {day(reader, account.createdAt)}
            {account.hasPin && ", has a PIN"}
            {account.leftAt && `; closed ${day(reader, account.leftAt)}`}
            {account.struckAt && `; name struck ${day(reader, account.struckAt)}`}
          </span>
        </summary>
        <div className="grid md:grid-cols-2 gap-8 py-3">
          {!gone && (
            <AccountForm label={`Account of ${account.name}`} hidden={{ what: "edit", id: account.id }} word="Keep">
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
            </AccountForm>
          )}
          <div className="grid gap-4 content-start justify-items-start">
            <a
              href={`/people/${account.id}/data.json`}
              download
              className={`${buttonClass("line", true)} justify-self-start`}
            >
              What is kept of them, as a file
            </a>
            {gone && !account.struckAt && (
              <AccountForm
                label={`Strike the name of ${account.name}`}
                hidden={{ what: "strike", id: account.id }}
                word="Strike the name for good"
                kind="line"
                asks={{
                  title: `Strike the name of ${account.name} for good?`,
                  text: "Name, sign-in name, password and PIN go and cannot be brought back. What was signed keeps the name it was signed with.",
                }}
              >
                {() => (
                  <p>Name, sign-in name, password and PIN go; what they signed keeps the name it was signed with.</p>
                )}
              </AccountForm>
            )}
            {!account.struckAt && (
              <AccountForm
                label={`${gone ? "Open" : "Close"} the account of ${account.name}`}
                hidden={{ what: "leave", id: account.id, left: gone ? "no" : "yes" }}
                word={gone ? "Open the account again" : "Close the account"}
                kind="line"
              />
            )}
          </div>
        </div>
      </details>
    </li>
  );
}
