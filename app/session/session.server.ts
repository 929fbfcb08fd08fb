import { data, type MiddlewareFunction, type RouterContextProvider, redirect } from "react-router";
import type { Refusal, RefusalCode } from "~/core/quantity";
import type { Person, Role } from "~/core/records";
import { isLocked, isMalformed, isUnavailable } from "~/data/postgres";
import { forgetOldDevices, noteDevice } from "~/data/queries/devices";
import {
  deleteExpiredSessions,
  deleteSession,
  type How,
  insertSession,
  openSession,
  sessionSeen,
} from "~/data/queries/sessions";
import { forgetOldAttempts } from "~/operations/attempts";
import type { Context } from "~/operations/context";
import { Busy } from "~/operations/queue";
import { onlyLookingHeader, refusalHeader } from "./person-header";
import { poolContext, sessionContext } from "./request-context";
import { deviceIdIn, newDevice, newSessionId, sessionClearing, sessionIdIn, sessionSetting } from "./session-cookie";
import { dayMs, type SessionState, seenEveryMs, stateOf } from "./session-state";

type Asking = Readonly<RouterContextProvider>;

/**
 * Begins a session in the place of the one that the request came with, and clears away those that have run out. The browser is known from
 * then on as one that has signed this person in.
 *
 * @returns the cookies to set
 */
export async function beginSession(context: Asking, request: Request, personId: string, how: How): Promise<Headers> {
  const pool = context.get(poolContext);
  const now = new Date();
  const header = request.headers.get("cookie");
  const before = await sessionIdIn(header);
  await deleteExpiredSessions(pool, now);
  await forgetOldAttempts(pool);
  await forgetOldDevices(pool, new Date(now.getTime() - 400 * 86_400_000));
  if (before) await deleteSession(pool, before);
  const headers = new Headers();
  const known = await deviceIdIn(header);
  const device = known ? { id: known, setting: null } : await newDevice();
  if (device.setting) headers.append("Set-Cookie", device.setting);
  await noteDevice(pool, device.id, personId, now);
  const id = newSessionId();
  const expires = new Date(now.getTime() + dayMs);
  await insertSession(pool, { id, personId, how, expires, now, device: deviceOf(request), deviceId: device.id });
  headers.append("Set-Cookie", await sessionSetting(id, expires));
  return headers;
}

export async function endSession(context: Asking, request: Request): Promise<string> {
  const id = await sessionIdIn(request.headers.get("cookie"));
  if (id) await deleteSession(context.get(poolContext), id);
  return sessionClearing();
}

/** Id of the session that a request came with; empty without one. */
export const sessionIdOf = async (request: Request): Promise<string> =>
  (await sessionIdIn(request.headers.get("cookie"))) ?? "";

/** What one knows a device by in a list: what its browser says of itself, no more than a line. */
const deviceOf = (request: Request): string => (request.headers.get("user-agent") ?? "").slice(0, 200);

/** Whose session it is is asked of the database once a request, by the first that wants to know. */
export const rememberPerson: MiddlewareFunction<Response> = ({ request, context }, next) => {
  let asked: Promise<SessionState> | undefined;
  context.set(sessionContext, () => {
    asked ??= currentState(context, request);
    return asked;
  });
  return next();
};

async function currentState(context: Asking, request: Request): Promise<SessionState> {
  const pool = context.get(poolContext);
  const id = await sessionIdIn(request.headers.get("cookie"));
  if (!id) return { is: "none" };
  const now = new Date();
  const state = stateOf(await openSession(pool, id, now), now);
  const quiet = request.headers.has(onlyLookingHeader);
  if (state.is === "open" && !quiet && now.getTime() - state.session.seenAt.getTime() > seenEveryMs)
    await sessionSeen(pool, id, now);
  return state;
}

export const sessionState = (context: Asking): Promise<SessionState> => context.get(sessionContext)();

/** Who is signed in, or nobody; who was away too long is nobody until they have shown that it is they. */
export async function signedInPerson(context: Asking): Promise<Person | null> {
  const state = await sessionState(context);
  return state.is === "open" ? state.session.person : null;
}

const asked = (context: Asking, { session }: Extract<SessionState, { is: "open" }>): Context => ({
  pool: context.get(poolContext),
  person: session.person,
  now: new Date(),
  how: session.how,
  shared: session.shared,
});

type Open = Extract<SessionState, { is: "open" }>;
const isOpen = (state: SessionState): state is Open => state.is === "open";

/**
 * The signed-in person with one of the roles, and the database: for every loader and action of a page. Nobody signed in goes
 * to the sign-in page and comes back; a database that is away gives the calm page for that.
 */
export async function asPerson<T>(
  context: Asking,
  request: Request,
  roles: readonly Role[],
  work: (asked: Context) => Promise<T>,
): Promise<T> {
  return withDatabase(async () => {
    const state = await sessionState(context);
    if (!isOpen(state)) throw redirect(`/sign-in?to=${encodeURIComponent(pathOf(request))}`);
    if (!roles.includes(state.session.person.role)) throw data({ code: "role" }, { status: 403 });
    return work(asked(context, state));
  });
}

/** The same for what a page's script fetches: answers in JSON, never a redirect. */
export async function asPersonJson(
  context: Asking,
  roles: readonly Role[],
  work: (asked: Context) => Promise<Response>,
): Promise<Response> {
  return answering(async () => {
    const state = await sessionState(context);
    if (!isOpen(state)) return refusalResponse(401, "signed-out", { [refusalHeader]: "signed-out" });
    if (!roles.includes(state.session.person.role)) return refusalResponse(403, "role");
    return work(asked(context, state));
  });
}

/** A database that is away or busy, and what is no id at all, answered in JSON. */
export async function answering(work: () => Promise<Response>): Promise<Response> {
  try {
    return await work();
  } catch (error) {
    if (isBusy(error)) return busyResponse();
    if (isMalformed(error)) return refusalResponse(400, "not-understood");
    if (isUnavailable(error)) return refusalResponse(503, "database-away");
    throw error;
  }
}

export const refusalResponse = (status: number, code: RefusalCode, headers?: HeadersInit): Response =>
  Response.json({ refusal: { code, path: [], facts: {} } }, { status, headers });

/** The line is too long, or somebody holds what is wanted: the same a moment later goes through. */
export const isBusy = (error: unknown): boolean => error instanceof Busy || isLocked(error);

const retryAfter = { "Retry-After": "5" };
export const busyResponse = (): Response => refusalResponse(503, "busy", retryAfter);

/** Too many tries are 429 and say when the next may come; anything else that is refused has the status given. */
export function statusOf(refusal: Refusal, otherwise: number): { status: number; headers?: HeadersInit } {
  return refusal.code === "too-many-tries"
    ? { status: 429, headers: { "Retry-After": String(refusal.facts.seconds) } }
    : { status: otherwise };
}

export async function withDatabase<T>(work: () => Promise<T>): Promise<T> {
  try {
    return await work();
  } catch (error) {
    if (isBusy(error)) throw data({ code: "busy" }, { status: 503, headers: retryAfter });
    if (isMalformed(error)) throw data({ code: "not-understood" }, { status: 400 });
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
