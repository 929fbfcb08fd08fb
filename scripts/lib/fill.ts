import { existsSync, readFileSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import { openPool } from "../../data/postgres";
import { countPeople } from "../../data/queries/people";
import { lead } from "../../demo/works";
import { loadDemo } from "./load-demo";

export type SignIn = { name: string; password: string };

/** An empty database gets the demo, or with `empty` nothing: its first lead is asked for. Returns how to sign in where that is known here. */
export async function fillEmptyDatabase(url: string, empty: boolean, home: string): Promise<SignIn | null> {
  const noteFile = join(home, "first-sign-in.json");
  const pool = openPool(url);
  try {
    if ((await countPeople(pool)) === 0 && !empty) {
      const signIn = { name: lead.signIn, password: lead.password, url: hostOf(url) };
      writeFileSync(noteFile, JSON.stringify(signIn), { mode: 0o600 });
      console.log("Loading the demo …");
      await loadDemo(pool, new Date());
    }
  } finally {
    await pool.end();
  }
  if (!existsSync(noteFile)) return null;
  const note = JSON.parse(readFileSync(noteFile, "utf8")) as SignIn & { url: string };
  return note.url === hostOf(url) ? { name: note.name, password: note.password } : null;
}

// The private cluster may get another port at its next start; a server of one's own keeps host and name.
const hostOf = (url: string): string => {
  const { hostname, pathname } = new URL(url);
  return `${hostname}${pathname}`;
};
