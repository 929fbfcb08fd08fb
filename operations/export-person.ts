import { v7 } from "uuid";
import { accept, type Result, refuse } from "../core/quantity";
import { insertAccountEvent } from "../data/queries/people";
import { accountData, entriesOfPerson, type PersonEntry } from "../data/queries/person-data";
import { type Context, checkRole, checkStrong } from "./context";

const pageSize = 500;

/**
 * Everything that is kept of one person, as JSON text in pieces: the account, sessions, drafts, and what they entered. One's own, or as a lead
 * anybody's; that it was taken is noted on the account.
 */
export async function exportPerson(context: Context, personId: string): Promise<Result<AsyncGenerator<string>>> {
  const { pool, person, now } = context;
  const allowed = personId === person.id ? checkStrong(context) : checkRole(person, ["lead"]);
  const strong = allowed.ok ? checkStrong(context) : allowed;
  if (!strong.ok) return strong;
  if (!(await accountData(pool, person.workshopId, personId))) return refuse("no-such-person", ["personId"]);
  await insertAccountEvent(pool, { id: v7(), personId, what: "exported", madeBy: person.id, at: now });
  const account = await accountData(pool, person.workshopId, personId);
  async function* text() {
    yield `${JSON.stringify({ exportedAt: now.toISOString(), account }).slice(0, -1)},"entries":[`;
    let last: PersonEntry | null = null;
    for (;;) {
      const page: PersonEntry[] = await entriesOfPerson(pool, personId, last, pageSize);
      if (page.length > 0) yield `${last ? ",\n" : ""}${page.map((entry) => JSON.stringify(entry)).join(",\n")}`;
      last = page.at(-1) ?? last;
      if (page.length < pageSize) break;
    }
    yield "]}\n";
  }
  return accept(text());
}
