/**
 * Gives an account a new password, for a lead who lost the only one: on the server, by whoever may read the database's password. Its
 * sessions end, its PIN goes, and that it was done is noted on the account.
 *
 *   npm run reset-password -- SIGN-IN-NAME
 */
import { randomInt } from "node:crypto";
import { v7 } from "uuid";
import { transaction } from "../data/postgres";
import { insertAccountEvent, personForSignIn, setPassword, setPinHash } from "../data/queries/people";
import { deleteSessionsOf } from "../data/queries/sessions";
import { hashSecret } from "../operations/secrets";
import { withDatabaseHere } from "./lib/with-database";

const letters = "abcdefghjkmnpqrstuvwxyz23456789";
const made = Array.from({ length: 4 }, () =>
  Array.from({ length: 4 }, () => letters[randomInt(letters.length)]).join(""),
).join("-");

const [name] = process.argv.slice(2);
if (!name) {
  console.error("Whose? npm run reset-password -- SIGN-IN-NAME");
  process.exit(2);
}
await withDatabaseHere(async (pool) => {
  const found = await personForSignIn(pool, name);
  if (!found) {
    console.error(`Nobody signs in as "${name}", or their account is closed.`);
    process.exitCode = 1;
    return;
  }
  const hash = await hashSecret(made);
  await transaction(pool, async (db) => {
    await setPassword(db, found.person.id, hash);
    await setPinHash(db, found.person.id, null);
    await deleteSessionsOf(db, found.person.id, null);
    await insertAccountEvent(db, {
      id: v7(),
      personId: found.person.id,
      what: "password-reset",
      madeBy: null,
      at: new Date(),
    });
  });
  console.log(`${found.person.name} signs in as "${name}" with the password "${made}". Change it under Account.`);
});
