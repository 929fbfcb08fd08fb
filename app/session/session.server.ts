import { randomBytes } from "node:crypto";
import {
  createCookie,
  createSessionStorage,
  data,
  type MiddlewareFunction,
  type RouterContextProvider,
  redirect,
} from "react-router";
import { isUnavailable, type Pool } from "~/data/postgres";
import { type Person, personById, type Role } from "~/data/queries/people";
import {
  deleteExpiredSessions,
  deleteSession,
  insertSession,
  sessionData,
  sessionSeen,
  updateSession,
} from "~/data/queries/sessions";
import type { Context } from "~/operations/context";
import { personContext, poolContext } from "./request-context";

const lifeSeconds = 60 * 60 * 24 * 14;

const cookie = createCookie("harmostat", {
  httpOnly: true,
  sameSite: "lax",
  path: "/",
  maxAge: lifeSeconds,
  secrets: [process.env.SESSION_SECRET ?? randomBytes(32).toString("hex")],
  secure: process.env.SECURE_COOKIES === "1",
});

type SessionData = { personId: string };

const expiry = (expires: Date | undefined) => expires ?? new Date(Date.now() + lifeSeconds * 1000);
const personOf = (values: Partial<SessionData>) => values.personId ?? null;

/** When a session was last used is noted no oftener than this. */
const seenEveryMs = 5 * 60_000;

/** Sessions stand in a table, so that they can be ended and outlive the server; the cookie holds a signed random id. */
const storage = (pool: Pool, device = "") =>
  createSessionStorage<SessionData>({
    cookie,
    async createData(values, expires) {
      const id = randomBytes(24).toString("base64url");
      await insertSession(pool, {
        id,
        data: values,
        personId: personOf(values),
        expires: expiry(expires),
        now: new Date(),
        device,
      });
      return id;
    },
    async readData(id) {
      const now = new Date();
      const found = await sessionData(pool, id, now);
      if (found && now.getTime() - found.seenAt.getTime() > seenEveryMs) await sessionSeen(pool, id, now);
      return (found?.data ?? null) as SessionData | null;
    },
    updateData: (id, values, expires) => updateSession(pool, id, values, personOf(values), expiry(expires)),
    deleteData: (id) => deleteSession(pool, id),
  });

/** Begins a session in the place of the one that the request came with, and clears away those that have run out. */
export async function beginSession(
  context: Readonly<RouterContextProvider>,
  request: Request,
  personId: string,
): Promise<string> {
  const pool = context.get(poolContext);
  await deleteExpiredSessions(pool, new Date());
  const { getSession, commitSession, destroySession } = storage(pool, deviceOf(request));
  await destroySession(await getSession(request.headers.get("cookie")));
  const session = await getSession();
  session.set("personId", personId);
  return commitSession(session);
}

export async function endSession(context: Readonly<RouterContextProvider>, request: Request): Promise<string> {
  const { getSession, destroySession } = storage(context.get(poolContext));
  return destroySession(await getSession(request.headers.get("cookie")));
}

/** Id of the session that a request came with; empty without one. */
export async function sessionIdOf(context: Readonly<RouterContextProvider>, request: Request): Promise<string> {
  return (await storage(context.get(poolContext)).getSession(request.headers.get("cookie"))).id;
}

/** What one knows a device by in a list: what its browser says of itself, no more than a line. */
const deviceOf = (request: Request): string => (request.headers.get("user-agent") ?? "").slice(0, 200);

/** Who is signed in is asked of the database once a request, by the first that wants to know. */
export const rememberPerson: MiddlewareFunction<Response> = ({ request, context }, next) => {
  let asked: Promise<Person | null> | undefined;
  context.set(personContext, () => {
    asked ??= currentPerson(context, request);
    return asked;
  });
  return next();
};

/** Who is signed in, or nobody. */
export const signedInPerson = (context: Readonly<RouterContextProvider>): Promise<Person | null> =>
  context.get(personContext)();

async function currentPerson(context: Readonly<RouterContextProvider>, request: Request): Promise<Person | null> {
  const pool = context.get(poolContext);
  const header = request.headers.get("cookie");
  if (!header) return null;
  const session = await storage(pool).getSession(header);
  const personId = session.get("personId");
  return personId ? personById(pool, personId) : null;
}

/**
 * The signed-in person with one of the roles, and the database: for every loader and action of a page. Nobody signed in goes
 * to the sign-in page and comes back; a database that is away gives the calm page for that.
 */
export async function asPerson<T>(
  context: Readonly<RouterContextProvider>,
  request: Request,
  roles: readonly Role[],
  work: (asked: Context) => Promise<T>,
): Promise<T> {
  return withDatabase(async () => {
    const person = await signedInPerson(context);
    if (!person) throw redirect(`/sign-in?to=${encodeURIComponent(pathOf(request))}`);
    if (!roles.includes(person.role)) throw data({ code: "role" }, { status: 403 });
    return work({ pool: context.get(poolContext), person, now: new Date() });
  });
}

/** The same for what a page's script fetches: answers in JSON, never a redirect. */
export async function asPersonJson(
  context: Readonly<RouterContextProvider>,
  roles: readonly Role[],
  work: (asked: Context) => Promise<Response>,
): Promise<Response> {
  try {
    const person = await signedInPerson(context);
    if (!person) return refusalResponse(401, "signed-out");
    if (!roles.includes(person.role)) return refusalResponse(403, "role");
    return await work({ pool: context.get(poolContext), person, now: new Date() });
  } catch (error) {
    if (isUnavailable(error)) return refusalResponse(503, "database-away");
    throw error;
  }
}

export const refusalResponse = (status: number, code: string): Response =>
  Response.json({ refusal: { code, path: [], facts: {} } }, { status });

export async function withDatabase<T>(work: () => Promise<T>): Promise<T> {
  try {
    return await work();
  } catch (error) {
    if (isUnavailable(error)) throw data({ code: "database-away" }, { status: 503 });
    throw error;
  }
}

export const everyRole: readonly Role[] = ["technician", "lead", "reader"];

const pathOf = (request: Request): string => {
  const url = new URL(request.url);
  return `${url.pathname.replace(/\.data$/, "")}${url.search}`;
};

/** What is told of a failure after an answer has begun; one that is nobody's outage goes to the server's log. */
export function failureOf(error: unknown): "database-away" | "went-wrong" {
  if (isUnavailable(error)) return "database-away";
  console.error(error);
  return "went-wrong";
}
