import type { Entry } from "../core/logbook";
import { accept, type Result, refuse } from "../core/quantity";
import type { Database } from "../data/postgres";
import { entryById } from "../data/queries/entries";

/**
 * What an operation answers where an entry of this id is there already: the entry, if it is the same submission come again; a
 * refusal `id-taken` if it is another's; null where there is none yet.
 *
 * @param same whether the known entry is what was submitted
 */
export async function alreadyThere(
  db: Database,
  id: string,
  same: (known: Entry) => boolean,
): Promise<Result<Entry> | null> {
  const known = await entryById(db, id);
  if (!known) return null;
  return same(known.entry) ? accept(known.entry) : refuse("id-taken", ["id"]);
}
