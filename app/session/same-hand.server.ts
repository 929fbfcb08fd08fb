import type { MiddlewareFunction } from "react-router";
import { personHeader, personUntilHeader, refusalHeader } from "./person-header";
import { refusalResponse, sessionState } from "./session.server";

/** What one can do without being anybody, or in the place of somebody else. */
const nobodysDoing = /^\/(sign-in|sign-out|first|room|account\/unlock)(\.data)?$/;

/** Pages that nobody has to be signed in for. */
const isOpenToAll = /^\/offline/;

/**
 * Every write says whose it is, and is refused where somebody else is signed in by now (another tab, a tablet handed over): the page decides what
 * is written, the cookie under whose name, and here the two are compared. Every answer says for whom it was made, so that what a browser keeps
 * of it is kept for that person alone.
 */
export const sameHand: MiddlewareFunction<Response> = async ({ request, context }, next) => {
  const state = await sessionState(context).catch(() => null);
  const person = state?.is === "open" ? state.session.person : null;
  const path = new URL(request.url).pathname;
  const reads = request.method === "GET" || request.method === "HEAD";
  // A page that is open stands still behind its lock rather than leave for another one with what was typed on it.
  const ofPage = path.endsWith(".data");
  if (state && !person && !nobodysDoing.test(path) && (!reads || (ofPage && !isOpenToAll.test(path))))
    return refusalResponse(401, "signed-out", { [refusalHeader]: "signed-out" });
  if (!reads && person && !nobodysDoing.test(path) && request.headers.get(personHeader) !== person.id)
    return refusalResponse(409, "other-person", { [refusalHeader]: "other-person", [personHeader]: person.id });
  const response = await next();
  // An answer whose state could not be told, because the database is away, says nothing of who asks.
  if (state && !response.headers.has(personHeader)) {
    response.headers.set(personHeader, person?.id ?? "nobody");
    if (state.is === "open") response.headers.set(personUntilHeader, state.session.expires.toISOString());
  }
  if (!response.headers.has("Cache-Control")) response.headers.set("Cache-Control", "no-store");
  return response;
};
