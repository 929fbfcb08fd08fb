import { hash, verify } from "@node-rs/argon2";
import { zxcvbn, zxcvbnOptions } from "@zxcvbn-ts/core";
import { adjacencyGraphs, dictionary } from "@zxcvbn-ts/language-common";
import { accept, type Result, refuse } from "../core/quantity";
import type { Person } from "../core/records";
import type { Pool } from "../data/postgres";
import { clearPinTries, secretsOf, takePinTry } from "../data/queries/people";
import { limited } from "./attempts";
import { queueOf } from "./queue";

/** A hash takes 19 MiB and most of a core: two at a time, and a line that is served within a few seconds. */
const oneOfTwo = queueOf(2, 40);

/** Argon2id with the second recommended setting of RFC 9106 scaled to 19 MiB, two passes (OWASP password storage). */
export const hashSecret = (secret: string): Promise<string> =>
  oneOfTwo(() => hash(secret, { memoryCost: 19_456, timeCost: 2, parallelism: 1 }));

export const isSecret = (kept: string, typed: string): Promise<boolean> => oneOfTwo(() => verify(kept, typed));

let asked = false;
/** Below 2 of 4 a password falls within a million guesses (zxcvbn's scale), however long it is. */
const leastScore = 2;

/** Whether a password is among the first that anybody would try: common ones, rows of keys, the person's own name. */
export function isCommonPassword(password: string, about: readonly string[]): boolean {
  if (!asked) zxcvbnOptions.setOptions({ dictionary, graphs: adjacencyGraphs });
  asked = true;
  return zxcvbn(password, [...about, "harmostat"]).score < leastScore;
}

/** The PINs most often chosen, beside years, rows and repetitions (common practice). */
const commonPins = new Set([
  "1004",
  "4321",
  "6969",
  "1313",
  "2580",
  "0852",
  "5683",
  "1342",
  "112233",
  "123123",
  "121212",
]);

/** Whether a PIN is one digit over and over, a row up or down, the same digits repeated, a year, or one of those most often chosen. */
export function isCommonPin(pin: string): boolean {
  const steps = [...pin].slice(1).map((digit, i) => Number(digit) - Number(pin[i]));
  const even = steps.every((step) => step === steps[0]) && Math.abs(steps[0] ?? 0) <= 1;
  const year = pin.length === 4 && /^(19|20)/.test(pin);
  return even || /^(\d+)\1+$/.test(pin) || year || commonPins.has(pin);
}

/** Ten wrong PINs in all lock it until the password is used; a right one begins the count anew. */
export const mostWrongPins = 10;

export async function checkPin(
  pool: Pool,
  person: Pick<Person, "id" | "workshopId">,
  pin: string,
): Promise<Result<Person>> {
  const found = await secretsOf(pool, person.workshopId, person.id);
  // Counted before it is looked at, so that many at once are no more tries.
  if (!found?.pinHash) return refuse("wrong-pin", ["pin"]);
  if (!(await takePinTry(pool, person.id, mostWrongPins))) return refuse("pin-locked", ["pin"]);
  if (!(await isSecret(found.pinHash, pin))) return refuse("wrong-pin", ["pin"]);
  await clearPinTries(pool, person.id);
  return accept(found.person);
}

/** The password of somebody who is known here already; the right one opens a locked PIN again. */
export function checkPassword(
  pool: Pool,
  person: Pick<Person, "id" | "workshopId">,
  password: string,
  path: readonly string[] = ["password"],
): Promise<Result<Person>> {
  return limited(pool, [{ key: `password ${person.id}`, free: 8 }], async () => {
    const found = await secretsOf(pool, person.workshopId, person.id);
    if (!found || !(await isSecret(found.passwordHash, password))) return refuse("wrong-password", [...path]);
    await clearPinTries(pool, person.id);
    return accept(found.person);
  });
}

export type ProvenBy = "pin" | "password";

/** Either of the two by which somebody shows that it is they: all digits and as long as a PIN is tried as one where they have one. */
export async function checkEither(
  pool: Pool,
  person: Pick<Person, "id" | "workshopId">,
  secret: string,
): Promise<Result<ProvenBy>> {
  const found = await secretsOf(pool, person.workshopId, person.id);
  const by: ProvenBy = found?.pinHash && /^\d{4,8}$/.test(secret) ? "pin" : "password";
  const right = by === "pin" ? await checkPin(pool, person, secret) : await checkPassword(pool, person, secret);
  return right.ok ? accept(by) : { ok: false, refusal: { ...right.refusal, path: ["secret"] } };
}
