import { hash, verify } from "@node-rs/argon2";
import { z } from "zod";
import { accept, type Result, refuse } from "../core/quantity";
import type { Pool } from "../data/postgres";
import { type Person, personForSignIn } from "../data/queries/people";
import { checkInput, words } from "./input";

const signInInput = z.object({ signIn: words(80), password: z.string().min(1).max(200) });

/** Argon2id with the second recommended setting of RFC 9106 scaled to 19 MiB, two passes (OWASP password storage). */
export const hashPassword = (password: string): Promise<string> =>
  hash(password, { memoryCost: 19_456, timeCost: 2, parallelism: 1 });

// Verified when the name is unknown, so that both refusals take as long.
let decoy: Promise<string> | null = null;

/** The person behind a name and a password; a wrong name and a wrong password are refused alike. */
export async function signIn(pool: Pool, input: unknown): Promise<Result<Person>> {
  const checked = checkInput(signInInput, input);
  if (!checked.ok) return checked;
  const found = await personForSignIn(pool, checked.value.signIn);
  decoy ??= hashPassword("no such person");
  const right = await verify(found?.passwordHash ?? (await decoy), checked.value.password);
  return found && right ? accept(found.person) : refuse("wrong-sign-in", ["password"]);
}
