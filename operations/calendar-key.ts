import { createHash, randomBytes } from "node:crypto";
import * as z from "zod";
import { accept, type Result } from "../core/quantity";
import type { Person } from "../core/records";
import type { Pool } from "../data/postgres";
import { calendarKeyUsed, dropCalendarKey, keepCalendarKey, personByCalendarKey } from "../data/queries/calendar-keys";
import { personById } from "../data/queries/people";
import { type Context, checkStrong } from "./context";
import { checkInput } from "./input";

const keyBytes = 32;
const hashOf = (key: string): Buffer => createHash("sha256").update(key).digest();

const keyInput = z.object({ mine: z.enum(["yes", "no"]) });

/**
 * Makes a key by which a calendar program fetches the plan without signing in, all of it or one's own part; an earlier key opens nothing any
 * more. Only its hash is kept: it is shown once. Not in a session that a PIN began.
 */
export async function makeCalendarKey(context: Context, input: unknown): Promise<Result<{ key: string }>> {
  const { pool, person, now } = context;
  const allowed = checkStrong(context);
  if (!allowed.ok) return allowed;
  const checked = checkInput(keyInput, input);
  if (!checked.ok) return checked;
  const key = randomBytes(keyBytes).toString("base64url");
  await keepCalendarKey(pool, person.id, hashOf(key), checked.value.mine === "yes", now);
  return accept({ key });
}

/** Takes one's key back: what subscribed by it gets nothing any more. */
export async function dropKey({ pool, person }: Context): Promise<Result<true>> {
  await dropCalendarKey(pool, person.id);
  return accept(true);
}

/** Who asks by a key; null: it opens nothing. */
export async function whoAsksBy(pool: Pool, key: string, now: Date): Promise<{ person: Person; mine: boolean } | null> {
  const found = key.length > 200 ? null : await personByCalendarKey(pool, hashOf(key));
  const person = found && (await personById(pool, found.personId));
  if (!found || !person) return null;
  await calendarKeyUsed(pool, person.id, now);
  return { person, mine: found.mine };
}
