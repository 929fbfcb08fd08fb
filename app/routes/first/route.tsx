import { useState } from "react";
import { data, Form, redirect, useNavigation } from "react-router";
import { v7 } from "uuid";
import { refusalWords } from "~/app/features/words/refusal";
import { useWords } from "~/app/features/words/use-words";
import { formOf } from "~/app/session/form-of";
import { poolContext } from "~/app/session/request-context";
import { beginSession, withDatabase } from "~/app/session/session.server";
import { usualInstruments } from "~/core/practice";
import type { InstrumentId } from "~/core/records";
import { nameFirstLead, nobodyYet } from "~/operations/set-up-workshop";
import { Button } from "~/ui/button";
import { Field } from "~/ui/field";
import type { Route } from "./+types/route";

export const meta: Route.MetaFunction = () => [{ title: "A new workshop, Harmostat" }];

export async function loader({ context }: Route.LoaderArgs) {
  if (!(await withDatabase(() => nobodyYet(context.get(poolContext))))) throw redirect("/");
  return { timeZone: Intl.DateTimeFormat().resolvedOptions().timeZone };
}

export async function action({ request, context }: Route.ActionArgs) {
  const { instruments, ...input } = Object.fromEntries(await formOf(request));
  return withDatabase(async () => {
    const usual =
      instruments === "yes"
        ? usualInstruments.map(({ key: _key, ...instrument }) => ({ ...instrument, id: v7() as InstrumentId }))
        : [];
    const made = await nameFirstLead(context.get(poolContext), new Date(), input, usual);
    if (!made.ok) return data({ refusal: made.refusal, typed: { ...input, password: "" } }, { status: 400 });
    return redirect("/", { headers: await beginSession(context, request, made.value.id, "password") });
  });
}

export default function FirstLead({ loaderData, actionData }: Route.ComponentProps) {
  const reader = useWords();
  const [ids] = useState(() => ({ id: v7(), workshopId: v7() }));
  const busy = useNavigation().state !== "idle";
  const refusal = actionData?.refusal;
  const typed = (actionData?.typed ?? {}) as Record<string, string>;
  const field = (name: string) => ({
    name,
    defaultValue: typed[name],
    autoComplete: "off",
    error: refusal && refusal.path[0] === name ? refusalWords(reader, refusal) : undefined,
  });
  return (
    <main className="min-h-dvh grid place-items-center p-5">
      <div className="w-full max-w-2xl">
        <p className="figure font-bold tracking-[0.14em] mb-8">HARMOSTAT</p>
        <h1 className="text-3xl font-bold mb-2">Nobody works here yet</h1>
        <p className="text-lg text-mid mb-6">
          Name the workshop and its first lead. The lead opens accounts for the others and enters the machines.
        </p>
        <Form method="post" className="grid sm:grid-cols-2 gap-4">
          <input type="hidden" name="id" value={ids.id} suppressHydrationWarning />
          <input type="hidden" name="workshopId" value={ids.workshopId} suppressHydrationWarning />
          <Field label="Workshop" {...field("workshop")} autoFocus />
          <Field
            label="Time zone"
            {...field("timeZone")}
            defaultValue={typed.timeZone ?? loaderData.timeZone}
            hint="as in Europe/London"
          />
          <Field label="Your name" {...field("name")} hint="as it stands under what you sign" />
          <Field label="Sign-in name" {...field("signIn")} autoComplete="username" autoCapitalize="none" />
          <Field
            label="Password"
            type="password"
            {...field("password")}
            autoComplete="new-password"
            hint="Twelve characters or more; a sentence is good"
            className="sm:col-span-2"
          />
          <div className="sm:col-span-2">
            <label className="flex items-center gap-3 min-h-12 py-1 cursor-pointer">
              <input
                type="checkbox"
                name="instruments"
                value="yes"
                defaultChecked
                className="size-7 shrink-0 accent-ink"
              />
              Begin with the usual instruments: indicators, feelers, caliper, rule, frequency meter, force gauge
            </label>
          </div>
          <div className="sm:col-span-2 flex flex-wrap gap-4 items-center">
            <Button kind="now" large type="submit" disabled={busy}>
              Begin
            </Button>
            {refusal && refusal.path.length === 0 && (
              <p role="alert" className="text-outside font-semibold">
                {refusalWords(reader, refusal)}
              </p>
            )}
          </div>
        </Form>
      </div>
    </main>
  );
}
