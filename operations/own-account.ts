import * as z from "zod";
import { accept, type Result, refuse } from "../core/quantity";
import type { Person, Preferences } from "../core/records";
import * as ids from "../core/records/ids";
import type { Pool } from "../data/postgres";
import { setDeviceShared } from "../data/queries/devices";
import { personById, setPassword, setPinHash, setPreferences } from "../data/queries/people";
import { deleteSession, deleteSessionsOf, type How, sessionsOf } from "../data/queries/sessions";
import { type Context, checkStrong } from "./context";
import { checkInput, id } from "./input";
import { newPassword } from "./people";
import { checkEither, checkPassword, checkPin, hashSecret, isCommonPassword, isCommonPin } from "./secrets";

const passwordInput = z.object({ present: z.string().min(1).max(200), password: newPassword });

/** One's own password, by the present one; every other session of the account ends. Not in a session that a PIN began. */
export async function changePassword(context: Context, sessionId: string, input: unknown): Promise<Result<true>> {
  const { pool, person } = context;
  const allowed = checkStrong(context);
  if (!allowed.ok) return allowed;
  const checked = checkInput(passwordInput, input);
  if (!checked.ok) return checked;
  const { present, password } = checked.value;
  const right = await checkPassword(pool, person, present, ["present"]);
  if (!right.ok) return right;
  if (isCommonPassword(password, [person.name])) return refuse("too-common", ["password"]);
  await setPassword(pool, person.id, await hashSecret(password));
  await deleteSessionsOf(pool, person.id, sessionId);
  return accept(true);
}

const pinInput = z.object({
  present: z.string().min(1).max(200),
  pin: z.union([z.literal(""), z.string().regex(/^\d{4,8}$/)]),
});

/** A PIN of four to eight digits by which one takes over a shared tablet; an empty one takes it away. By the password. */
export async function changePin({ pool, person }: Context, input: unknown): Promise<Result<true>> {
  const checked = checkInput(pinInput, input);
  if (!checked.ok) return checked.refusal.path[0] === "pin" ? refuse("not-a-pin", ["pin"]) : checked;
  const { present, pin } = checked.value;
  const right = await checkPassword(pool, person, present, ["present"]);
  if (!right.ok) return right;
  if (pin !== "" && isCommonPin(pin)) return refuse("too-common", ["pin"]);
  await setPinHash(pool, person.id, pin === "" ? null : await hashSecret(pin));
  return accept(true);
}

const switchInput = z.object({ id: ids.personId, pin: z.string().min(1).max(20) });

/** Somebody else of the workshop takes over the tablet that is signed in; from then on it is one that several share. */
export async function switchPerson(
  { pool, person, now }: Context,
  deviceId: Buffer | null,
  input: unknown,
): Promise<Result<Person>> {
  const checked = checkInput(switchInput, input);
  if (!checked.ok) return checked;
  const { id: whom, pin } = checked.value;
  const taken = await checkPin(pool, { id: whom, workshopId: person.workshopId }, pin);
  if (taken.ok && deviceId) await setDeviceShared(pool, deviceId, true, now);
  return taken;
}

const shareInput = z.object({ shared: z.enum(["yes", "no"]) });

/** Whether several people use a browser: what signatures ask may hang on it. */
export async function shareDevice(
  { pool, now }: Context,
  deviceId: Buffer | null,
  input: unknown,
): Promise<Result<true>> {
  const checked = checkInput(shareInput, input);
  if (!checked.ok) return checked;
  if (deviceId) await setDeviceShared(pool, deviceId, checked.value.shared === "yes", now);
  return accept(true);
}

const unlockInput = z.object({ personId: id, secret: z.string().min(1).max(200) });

/**
 * Whose page it is shows that it is they, without leaving it: by the PIN or the password where their session only rests, by the password where it
 * has ended, is somebody else's by now, or began with a PIN that is not enough for something.
 *
 * @param resting whose session rests in the browser that asks
 */
export async function unlock(
  pool: Pool,
  resting: Person | null,
  input: unknown,
): Promise<Result<{ personId: string; how: How }>> {
  const checked = checkInput(unlockInput, input);
  if (!checked.ok) return checked;
  const { personId, secret } = checked.value;
  const person = await personById(pool, personId);
  if (!person) return refuse("wrong-password", ["secret"]);
  if (resting?.id === personId) {
    const by = await checkEither(pool, person, secret);
    return by.ok ? accept({ personId, how: by.value }) : by;
  }
  const right = await checkPassword(pool, person, secret, ["secret"]);
  return right.ok ? accept({ personId, how: "password" }) : right;
}

export const preferenceFields = z.object({
  decimal: z.enum(["point", "comma"]).default("point"),
  units: z.enum(["machine", "metric", "inch"]).default("machine"),
  school: z.enum(["centre-of-band", "tight-spot"]).default("centre-of-band"),
  room: z.enum(["bright", "dark"]).default("bright"),
});

export async function prefer({ pool, person }: Context, input: unknown): Promise<Result<Preferences>> {
  const checked = checkInput(preferenceFields, input);
  if (!checked.ok) return checked;
  await setPreferences(pool, person.id, checked.value);
  return accept(checked.value);
}

/** Sessions are named to their owner by the beginning of their id, which opens nothing. */
export const sessionName = (sessionId: string): string => sessionId.slice(0, 8);

const endInput = z.object({ session: z.string().min(1).max(40) });

/** Ends one of one's own sessions, or with "others" all but this one. */
export async function endSessions(
  { pool, person, now }: Context,
  sessionId: string,
  input: unknown,
): Promise<Result<true>> {
  const checked = checkInput(endInput, input);
  if (!checked.ok) return checked;
  if (checked.value.session === "others") {
    await deleteSessionsOf(pool, person.id, sessionId);
    return accept(true);
  }
  const found = (await sessionsOf(pool, person.id, now)).find(
    ({ id: own }) => sessionName(own) === checked.value.session,
  );
  if (!found) return refuse("no-such-session", ["session"]);
  await deleteSession(pool, found.id);
  return accept(true);
}
