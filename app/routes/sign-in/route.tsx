import { data, Form, redirect, useNavigation, useSearchParams } from "react-router";
import { readerOf } from "~/app/features/words/reader";
import { refusalWords } from "~/app/features/words/refusal";
import { formOf } from "~/app/session/form-of";
import { addressContext, poolContext } from "~/app/session/request-context";
import { safePath } from "~/app/session/safe-path";
import { beginSession, sessionState, signedInPerson, statusOf, withDatabase } from "~/app/session/session.server";
import { deviceIdIn } from "~/app/session/session-cookie";
import type { Refusal } from "~/core/quantity";
import { checkEither } from "~/operations/secrets";
import { nobodyYet } from "~/operations/set-up-workshop";
import { signIn } from "~/operations/sign-in";
import { Button } from "~/ui/button";
import { Field } from "~/ui/field";
import type { Route } from "./+types/route";

export const meta: Route.MetaFunction = () => [{ title: "Sign in, Harmostat" }];

export async function loader({ context }: Route.LoaderArgs) {
  return withDatabase(async () => {
    if (await signedInPerson(context)) throw redirect("/");
    if (await nobodyYet(context.get(poolContext))) throw redirect("/first");
    const state = await sessionState(context);
    return {
      resting: state.is === "resting" ? { name: state.session.person.name, hasPin: state.session.hasPin } : null,
    };
  });
}

export async function action({ request, context }: Route.ActionArgs) {
  const form = await formOf(request);
  const to = safePath(form.get("to"));
  return withDatabase(async () => {
    const pool = context.get(poolContext);
    const secret = form.get("secret");
    if (typeof secret === "string") {
      const state = await sessionState(context);
      if (state.is !== "resting") return redirect(`/sign-in?to=${encodeURIComponent(to)}`);
      const { person } = state.session;
      const right = await checkEither(pool, person, secret);
      if (!right.ok) return data({ signIn: "", problem: told(right.refusal) }, statusOf(right.refusal, 400));
      return redirect(to, { headers: await beginSession(context, request, person.id, right.value) });
    }
    const signedName = String(form.get("signIn") ?? "");
    const from = { address: context.get(addressContext), deviceId: await deviceIdIn(request.headers.get("cookie")) };
    const result = await signIn(pool, from, { signIn: signedName, password: form.get("password") });
    if (!result.ok) return data({ signIn: signedName, problem: told(result.refusal) }, statusOf(result.refusal, 400));
    return redirect(to, { headers: await beginSession(context, request, result.value.id, "password") });
  });
}

/** Said here: this page is plain, and carries no words of its own. */
const told = (refusal: Refusal) => ({
  field: String(refusal.path[0] ?? "password"),
  words: refusalWords(readerOf(), refusal),
});

export default function SignIn({ loaderData, actionData }: Route.ComponentProps) {
  const [search] = useSearchParams();
  const busy = useNavigation().state !== "idle";
  const problem = actionData?.problem;
  const { resting } = loaderData;
  const on = (field: string) => (problem?.field === field ? problem.words : undefined);
  const to = <input type="hidden" name="to" value={search.get("to") ?? "/"} />;
  return (
    <main className="min-h-dvh grid place-items-center p-5">
      <div className="w-full max-w-md">
        <p className="figure font-bold tracking-[0.14em] mb-8">HARMOSTAT</p>
        {resting && (
          <section aria-labelledby="still" className="mb-10">
            <h1 id="still" className="text-3xl font-bold mb-2">
              Still {resting.name}?
            </h1>
            <p className="text-mid mb-6">Nobody was here for a while. What was typed is kept.</p>
            <Form method="post" className="grid gap-4" aria-label="Go on">
              {to}
              <Field
                label={resting.hasPin ? "PIN or password" : "Password"}
                name="secret"
                type="password"
                autoComplete="current-password"
                autoFocus
                error={on("secret") ?? (problem && !actionData?.signIn ? on("password") : undefined)}
              />
              <Button kind="now" large type="submit" disabled={busy}>
                Go on as {resting.name}
              </Button>
            </Form>
          </section>
        )}
        {resting ? (
          <h2 className="text-xl font-bold mb-4">Somebody else</h2>
        ) : (
          <h1 className="text-3xl font-bold mb-6">Who is at the machine?</h1>
        )}
        <Form method="post" className="grid gap-4" aria-label="Sign in">
          {to}
          <Field
            label="Sign-in name"
            name="signIn"
            autoComplete="username"
            defaultValue={actionData?.signIn}
            autoFocus={!resting}
            error={on("signIn")}
          />
          <Field
            label={resting ? "Their password" : "Password"}
            name="password"
            type="password"
            autoComplete="current-password"
            error={actionData?.signIn ? on("password") : undefined}
          />
          <Button kind={resting ? "line" : "now"} large type="submit" disabled={busy}>
            Sign in
          </Button>
        </Form>
      </div>
    </main>
  );
}
