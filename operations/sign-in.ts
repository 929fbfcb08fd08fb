import * as z from "zod";
import { accept, type Result, refuse } from "../core/quantity";
import type { Person } from "../core/records";
import type { Pool } from "../data/postgres";
import { isKnownDevice } from "../data/queries/devices";
import { clearPinTries, personForSignIn } from "../data/queries/people";
import { type Limit, limited } from "./attempts";
import { checkInput, words } from "./input";
import { hashSecret, isSecret } from "./secrets";

const signInInput = z.object({ signIn: words(80), password: z.string().min(1).max(200) });

// Verified when the name is unknown, so that both refusals take as long.
let decoy: Promise<string> | null = null;

/** From where somebody tries. */
export type From = { address: string; deviceId: Buffer | null };

/**
 * The person behind a name and a password; a wrong name and a wrong password are refused alike, and after a few of them each waits. Tries are
 * counted by account, so that no spelling of the name gets more; on a browser that has signed this person in before by that browser, so that
 * strangers elsewhere hold up nobody.
 */
export async function signIn(pool: Pool, from: From, input: unknown): Promise<Result<Person>> {
  const checked = checkInput(signInInput, input);
  if (!checked.ok) return checked;
  const { signIn: name, password } = checked.value;
  const found = await personForSignIn(pool, name);
  const known = found && from.deviceId && (await isKnownDevice(pool, from.deviceId, found.person.id));
  return limited(
    pool,
    known ? [ofDevice(from, found.person)] : ofStranger(from, found?.person.id ?? spelling(name)),
    async () => {
      decoy ??= hashSecret("no such person");
      const right = await isSecret(found?.passwordHash ?? (await decoy), password);
      if (!found || !right) return refuse("wrong-sign-in", ["password"]);
      await clearPinTries(pool, found.person.id);
      return accept(found.person);
    },
  );
}

const ofDevice = ({ deviceId }: From, person: Person): Limit => ({
  key: `device ${deviceId?.toString("hex")} ${person.id}`,
  free: 10,
});

const ofStranger = ({ address }: From, who: string): Limit[] => [
  { key: `person ${who}`, free: 8 },
  { key: `address ${address}`, free: 60 },
];

/** Names that are nobody's, counted however they are spelt. */
const spelling = (name: string): string => name.normalize("NFKD").replace(/\p{M}/gu, "").toLowerCase().slice(0, 80);
