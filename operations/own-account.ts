import { verify } from "@node-rs/argon2";
import { z } from "zod";
import { accept, type Result, refuse } from "../core/quantity";
import {
  type Person,
  type Preferences,
  secretsOf,
  setPassword,
  setPinHash,
  setPreferences,
} from "../data/queries/people";
import { deleteSession, deleteSessionsOf, sessionsOf } from "../data/queries/sessions";
import { limited } from "./attempts";
import type { Context } from "./context";
import { checkInput, id } from "./input";
import { newPassword } from "./people";
import { hashPassword } from "./sign-in";

/** Ten wrong passwords or five wrong PINs within a quarter of an hour are enough. */
const most = { password: 10, pin: 5 };

const passwordInput = z.object({ present: z.string().min(1).max(200), password: newPassword });

/** One's own password, by the present one; every other session of the account ends. */
export async function changePassword(
  { pool, person, now }: Context,
  sessionId: string,
  input: unknown,
): Promise<Result<true>> {
  const checked = checkInput(passwordInput, input);
  if (!checked.ok) return checked;
  const right = await confirm({ pool, person, now }, checked.value.present);
  if (!right.ok) return right;
  await setPassword(pool, person.id, await hashPassword(checked.value.password));
  await deleteSessionsOf(pool, person.id, sessionId);
  return accept(true);
}

const pinInput = z.object({
  present: z.string().min(1).max(200),
  pin: z.union([z.literal(""), z.string().regex(/^\d{4,8}$/)]),
});

/** A PIN of four to eight digits by which one takes over a shared tablet; an empty one takes it away. By the password. */
export async function changePin({ pool, person, now }: Context, input: unknown): Promise<Result<true>> {
  const checked = checkInput(pinInput, input);
  if (!checked.ok) return checked.refusal.path[0] === "pin" ? refuse("not-a-pin", ["pin"]) : checked;
  const right = await confirm({ pool, person, now }, checked.value.present);
  if (!right.ok) return right;
  const { pin } = checked.value;
  await setPinHash(pool, person.id, pin === "" ? null : await hashPassword(pin));
  return accept(true);
}

function confirm({ pool, person, now }: Context, password: string): Promise<Result<true>> {
  return limited(pool, now, [{ key: `password ${person.id}`, most: most.password }], async () => {
    const found = await secretsOf(pool, person.workshopId, person.id);
    return found && (await verify(found.passwordHash, password)) ? accept(true) : refuse("wrong-password", ["present"]);
  });
}

const switchInput = z.object({ id, pin: z.string().min(1).max(20) });

/** Somebody else of the workshop takes over the tablet that is signed in. */
export async function switchPerson({ pool, person, now }: Context, input: unknown): Promise<Result<Person>> {
  const checked = checkInput(switchInput, input);
  if (!checked.ok) return checked;
  const { id: whom, pin } = checked.value;
  return limited(pool, now, [{ key: `pin ${whom}`, most: most.pin }], async () => {
    const found = await secretsOf(pool, person.workshopId, whom);
    return found?.pinHash && (await verify(found.pinHash, pin)) ? accept(found.person) : refuse("wrong-pin", ["pin"]);
  });
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
