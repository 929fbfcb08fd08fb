import { randomBytes } from "node:crypto";
import { existsSync, readFileSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import { v7 } from "uuid";
import { openPool } from "../../data/postgres";
import { countWorkshops } from "../../data/queries/people";
import { instruments, lead } from "../../demo/works";
import { setUpWorkshop } from "../../operations/set-up-workshop";
import { loadDemo } from "./load-demo";

export type SignIn = { name: string; password: string };

/**
 * An empty database gets the demo, or with `empty` a workshop with its first lead under a password of its own. Returns how to
 * sign in where that is known here.
 */
export async function fillEmptyDatabase(url: string, empty: boolean, home: string): Promise<SignIn | null> {
  const noteFile = join(home, "first-sign-in.json");
  const pool = openPool(url);
  try {
    if ((await countWorkshops(pool)) === 0) {
      const signIn = empty
        ? { name: "lead", password: randomBytes(9).toString("base64url") }
        : { name: lead.signIn, password: lead.password };
      writeFileSync(noteFile, JSON.stringify({ ...signIn, url: hostOf(url) }), { mode: 0o600 });
      if (empty) await firstLead(pool, signIn);
      else {
        console.log("Loading the demo …");
        await loadDemo(pool, new Date());
      }
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

async function firstLead(pool: ReturnType<typeof openPool>, signIn: SignIn): Promise<void> {
  await setUpWorkshop(
    pool,
    new Date(),
    { id: v7(), name: "Workshop", timeZone: Intl.DateTimeFormat().resolvedOptions().timeZone },
    { id: v7(), name: "Lead", signIn: signIn.name, password: signIn.password },
    instruments.map(({ key: _key, ...instrument }) => ({ ...instrument, id: v7() })),
  );
}
