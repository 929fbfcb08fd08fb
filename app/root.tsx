import { RefusalsAhead } from "~/app/features/words/refused";
import "~/ui/tokens.css";
import { type ReactNode, useEffect, useMemo } from "react";
import {
  Links,
  Meta,
  type MiddlewareFunction,
  Outlet,
  Scripts,
  ScrollRestoration,
  type ShouldRevalidateFunctionArgs,
  useMatches,
  useRouteLoaderData,
} from "react-router";
import { signatureAsks } from "~/operations/context";
import type { Route } from "./+types/root";
import { HeldStrip } from "./features/identity/held-strip";
import { Lock } from "./features/identity/lock";
import { pageIsOf } from "./features/identity/page-person";
import { useOnePerson } from "./features/identity/tabs";
import { useServiceWorker } from "./features/offline/service-worker-page";
import { FailurePage } from "./features/shell/failure-page";
import { useArrival } from "./features/shell/use-arrival";
import { Waiting } from "./features/shell/waiting";
import { readerOf, type Units } from "./features/words/reader";
import { ReaderContext } from "./features/words/use-words";
import { practiceStays } from "./session/practice-stays.server";
import { nonceContext, poolContext } from "./session/request-context";
import { sameHand } from "./session/same-hand.server";
import { rememberPerson, sessionState } from "./session/session.server";

export const middleware: MiddlewareFunction<Response>[] = [rememberPerson, sameHand, practiceStays];

export async function loader({ request, context }: Route.LoaderArgs) {
  const cookie = request.headers.get("cookie") ?? "";
  // A database that is away says nothing of who this is.
  const state = await sessionState(context).catch(() => null);
  const session = state?.is === "open" ? state.session : null;
  const person = session?.person ?? null;
  const { how, shared } = session ?? {};
  return {
    room: roomOf(cookie, person?.preferences.room),
    // The page for being without a network is kept, and says nothing of who is here.
    told: state !== null && new URL(request.url).pathname !== "/offline",
    person: person &&
      session && {
        id: person.id,
        name: person.name,
        role: person.role,
        preferences: person.preferences,
        timeZone: person.timeZone,
        byPin: how === "pin",
        hasPin: session.hasPin,
        practising: person.practising === true,
        asksToSign: signatureAsks({ pool: context.get(poolContext), person, now: new Date(), how, shared }),
      },
    nonce: context.get(nonceContext),
  };
}

/** What this tablet was last set to, else what its person prefers. */
const roomOf = (cookie: string, preferred: "bright" | "dark" | undefined): "bright" | "dark" =>
  /(?:^|;\s*)room=(dark|bright)/.exec(cookie)?.[1] === "dark"
    ? "dark"
    : cookie.includes("room=")
      ? "bright"
      : (preferred ?? "bright");

// A tablet that lost the server must not lose its page by asking again who it is; only signing in or out changes that.
export const shouldRevalidate = ({ formAction }: ShouldRevalidateFunctionArgs) =>
  formAction !== undefined && /^\/(sign-|room|account|first)/.test(formAction);

export const meta: Route.MetaFunction = () => [{ title: "Harmostat" }];

export const links: Route.LinksFunction = () => [
  { rel: "icon", href: "/mark.svg", type: "image/svg+xml" },
  { rel: "manifest", href: "/app.webmanifest" },
];

export function Layout({ children }: { children: ReactNode }) {
  const root = useRouteLoaderData<typeof loader>("root");
  useEffect(() => {
    document.documentElement.dataset.hydrated = "yes";
  }, []);
  return (
    <html
      lang="en"
      data-room={root?.room ?? "bright"}
      data-practice={root?.person?.practising || undefined}
      suppressHydrationWarning
    >
      <head>
        <meta charSet="utf-8" />
        <meta name="theme-color" content="#10243a" />
        <meta name="viewport" content="width=device-width, initial-scale=1" />
        <Meta />
        <Links nonce={root?.nonce} />
      </head>
      <body>
        {children}
        <ScrollRestoration nonce={root?.nonce} />
        <Scripts nonce={root?.nonce} />
      </body>
    </html>
  );
}

export default function Root({ loaderData }: Route.ComponentProps) {
  const { person, told } = loaderData;
  const personId = person?.id;
  pageIsOf(personId);
  const machineUnits = unitsOn(useMatches());
  const reader = useMemo(
    () => readerOf(person ?? undefined, machineUnits && { units: machineUnits }),
    [person, machineUnits],
  );
  useEffect(() => {
    if (personId) return startSending();
  }, [personId]);
  useOnePerson(told ? (personId ?? "") : undefined);
  useServiceWorker(personId);
  useArrival();
  return (
    <ReaderContext value={reader}>
      <Waiting />
      <Outlet />
      <RefusalsAhead />
      <HeldStrip />
      {person && <Lock person={person} />}
    </ReaderContext>
  );
}

/** Sends what waits of whose page this is; who is not signed in needs none of it. */
function startSending(): () => void {
  let stop: (() => void) | null = null;
  let left = false;
  let again: ReturnType<typeof setTimeout> | undefined;
  const start = (): Promise<void> =>
    import("./features/offline/outbox-state").then(
      ({ startOutbox }) => {
        if (!left) stop = startOutbox();
      },
      // The network went before it came.
      () => {
        if (!left) again = setTimeout(start, sendingAgainMs);
      },
    );
  void start();
  return () => {
    left = true;
    clearTimeout(again);
    stop?.();
  };
}
const sendingAgainMs = 4000;

type OfUnits = { units?: Units };

/** The units of the machine that the page is about. */
function unitsOn(matches: ReturnType<typeof useMatches>): Units | undefined {
  for (const { loaderData } of matches) {
    const { machine, kit } = (loaderData ?? {}) as { machine?: OfUnits; kit?: { machine?: OfUnits } };
    const units = machine?.units ?? kit?.machine?.units;
    if (units) return units;
  }
  return undefined;
}

export function ErrorBoundary({ error }: Route.ErrorBoundaryProps) {
  return <FailurePage error={error} />;
}
