import { data, Form, redirect, useNavigation, useSearchParams } from "react-router";
import { refusalWords } from "~/app/features/words/refusal";
import { formOf } from "~/app/session/form-of";
import { addressContext, poolContext } from "~/app/session/request-context";
import { safePath } from "~/app/session/safe-path";
import { beginSession, signedInPerson, withDatabase } from "~/app/session/session.server";
import { nobodyYet } from "~/operations/set-up-workshop";
import { signIn } from "~/operations/sign-in";
import { Button } from "~/ui/button";
import { Field } from "~/ui/field";
import type { Route } from "./+types/route";

export const meta: Route.MetaFunction = () => [{ title: "Sign in, Harmostat" }];

export async function loader({ context }: Route.LoaderArgs) {
  await withDatabase(async () => {
    if (await signedInPerson(context)) throw redirect("/");
    if (await nobodyYet(context.get(poolContext))) throw redirect("/first");
  });
  return null;
}

export async function action({ request, context }: Route.ActionArgs) {
  const form = await formOf(request);
  const signedName = String(form.get("signIn") ?? "");
  return withDatabase(async () => {
    const input = { signIn: signedName, password: form.get("password") };
    const result = await signIn(context.get(poolContext), new Date(), context.get(addressContext), input);
    if (!result.ok) return data({ signIn: signedName, refusal: result.refusal }, { status: 400 });
    return redirect(safePath(form.get("to")), {
      headers: { "Set-Cookie": await beginSession(context, request, result.value.id) },
    });
  });
}

export default function SignIn({ actionData }: Route.ComponentProps) {
  const [search] = useSearchParams();
  const busy = useNavigation().state !== "idle";
  const refusal = actionData?.refusal;
  const on = (field: string) =>
    refusal && (refusal.path[0] ?? "password") === field ? refusalWords(refusal) : undefined;
  return (
    <main className="min-h-dvh grid place-items-center p-5">
      <div className="w-full max-w-md">
        <p className="figure font-bold tracking-[0.14em] mb-8">HARMOSTAT</p>
        <h1 className="text-3xl font-bold mb-6">Who is at the machine?</h1>
        <Form method="post" className="grid gap-4">
          <input type="hidden" name="to" value={search.get("to") ?? "/"} />
          <Field
            label="Sign-in name"
            name="signIn"
            autoComplete="username"
            defaultValue={actionData?.signIn}
            autoFocus
            error={on("signIn")}
          />
          <Field
            label="Password"
            name="password"
            type="password"
            autoComplete="current-password"
            error={on("password")}
          />
          <Button kind="now" large type="submit" disabled={busy}>
            Sign in
          </Button>
        </Form>
      </div>
    </main>
  );
}
