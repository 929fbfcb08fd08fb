import { existsSync, readFileSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import { openOwnerPool, sql, transaction, within } from "../../data/postgres";
import { none } from "../../data/postgres/ask";
import { countPeople } from "../../data/queries/people";
import { lead } from "../../demo/works";
import { loadDemo } from "./load-demo";

export type SignIn = { name: string; password: string };

/**
 * An empty database gets the demo, all of it or, where it is cut off, nothing; of several that start together one loads it and the others wait.
 * With `empty` it gets nothing: its first lead is asked for. Returns how to sign in where that is known here.
 */
export async function fillEmptyDatabase(url: string, empty: boolean, home: string): Promise<SignIn | null> {
  const noteFile = join(home, "first-sign-in.json");
  const pool = openOwnerPool(url);
  try {
    if (!empty)
      await transaction(pool, async (db) => {
        await none(db, sql`select pg_advisory_xact_lock(4807764)`);
        if ((await countPeople(db)) > 0) return;
        console.log("Loading the demo …");
        await loadDemo(within(db), new Date());
        const signIn = { name: lead.signIn, password: lead.password, url: hostOf(url) };
        writeFileSync(noteFile, JSON.stringify(signIn), { mode: 0o600 });
      });
  } finally {
    await pool.end();
  }
  if (!existsSync(noteFile)) return null;
  try {
    const note = JSON.parse(readFileSync(noteFile, "utf8")) as SignIn & { url: string };
    return note.url === hostOf(url) ? { name: note.name, password: note.password } : null;
  } catch {
    return null;
  }
}

// The private cluster may get another port at its next start; a server of one's own keeps host and name.
const hostOf = (url: string): string => {
  const { hostname, pathname } = new URL(url);
  return `${hostname}${pathname}`;
};
