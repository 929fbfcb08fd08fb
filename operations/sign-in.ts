import { hash, verify } from "@node-rs/argon2";
import { z } from "zod";
import { accept, type Result, refuse } from "../core/quantity";
import type { Pool } from "../data/postgres";
import { type Person, personForSignIn } from "../data/queries/people";
import { limited } from "./attempts";
import { checkInput, words } from "./input";

const signInInput = z.object({ signIn: words(80), password: z.string().min(1).max(200) });

/** Argon2id with the second recommended setting of RFC 9106 scaled to 19 MiB, two passes (OWASP password storage). */
export const hashPassword = (password: string): Promise<string> =>
  hash(password, { memoryCost: 19_456, timeCost: 2, parallelism: 1 });

// Verified when the name is unknown, so that both refusals take as long.
let decoy: Promise<string> | null = null;

/** At one name from one address, at one name from anywhere, and from one address at any name. */
const most = { here: 8, name: 40, address: 60 };

/** The person behind a name and a password; a wrong name and a wrong password are refused alike, and too many of them for a while. */
export async function signIn(pool: Pool, now: Date, address: string, input: unknown): Promise<Result<Person>> {
  const checked = checkInput(signInInput, input);
  if (!checked.ok) return checked;
  const name = checked.value.signIn.toLowerCase();
  const limits = [
    { key: `name ${name} from ${address}`, most: most.here },
    { key: `name ${name}`, most: most.name },
    { key: `from ${address}`, most: most.address },
  ];
  return limited(pool, now, limits, async () => {
    const found = await personForSignIn(pool, checked.value.signIn);
    decoy ??= hashPassword("no such person");
    const right = await verify(found?.passwordHash ?? (await decoy), checked.value.password);
    return found && right ? accept(found.person) : refuse("wrong-sign-in", ["password"]);
  });
}
