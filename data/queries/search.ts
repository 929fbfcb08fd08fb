import type { Entry, EntryKind } from "../../core/logbook";
import { containing, type Database, maybeOne, one, type Statement, sql } from "../postgres";
import { namedEntries, shown } from "./entries";

/** What is looked for in all logbooks of a workshop; null: any. */
export type Sought = {
  /** Of what was entered; every word, each from its beginning. */
  words: string;
  kinds: readonly EntryKind[] | null;
  /** In the name of the machine, its tag or the stage. */
  part: string;
  personId: string | null;
  /** Days of the workshop, both included. */
  from: string | null;
  to: string | null;
};
export type FoundPlace = { at: string; id: string };

/** "re-tension 8 kg" as what PostgreSQL looks for: every word, each from its beginning; empty where there is none. */
export function wordsSought(words: string): string {
  const found = words.toLowerCase().match(/[\p{L}\p{N}]+/gu) ?? [];
  return found
    .slice(0, 12)
    .map((word) => `${word}:*`)
    .join(" & ");
}

const everything = sql`true`;

/** Each condition only where it is asked: a plan with an index for every question. */
function matches(workshopId: string, zone: string, { words, kinds, part, personId, from, to }: Sought): Statement {
  const like = containing(part);
  const query = wordsSought(words);
  const where =
    part === ""
      ? sql`e.machine_id in (select id from machine where workshop_id = ${workshopId})`
      : sql`(e.machine_id in (select id from machine where workshop_id = ${workshopId} and (name ilike ${like} or tag ilike ${like}))
          or e.stage_id in (select s.id from stage s join machine m on m.id = s.machine_id
            where m.workshop_id = ${workshopId} and s.name ilike ${like}))`;
  // The index of words is on just this expression.
  const said =
    query === ""
      ? everything
      : sql`jsonb_to_tsvector('simple', e.body, '["string"]') @@ to_tsquery('simple', ${query})`;
  return sql`${where} and ${said}
    and ${kinds ? sql`e.kind = any(${kinds})` : everything}
    and ${personId ? sql`e.made_by = ${personId}` : everything}
    and ${from ? sql`e.made_at >= (${from}::date)::timestamp at time zone ${zone}` : everything}
    and ${to ? sql`e.made_at < (${to}::date + 1)::timestamp at time zone ${zone}` : everything}`;
}

/** So many of the newest are gone through for words before their index is asked. */
const newestLooked = 2000;

/**
 * A page of what was found, newest first, before the place given; without single readings. What is said all the time fills it from among the
 * newest; for what is said seldom all that say it are taken from the index of words, for a walk through the days would go through everything.
 */
export async function foundPage(
  db: Database,
  workshopId: string,
  zone: string,
  sought: Sought,
  before: FoundPlace | null,
  size: number,
): Promise<Entry[]> {
  const earlier = before ? sql`(e.made_at, e.id) < (${before.at}::timestamptz, ${before.id}::uuid)` : everything;
  const where = sql`${matches(workshopId, zone, sought)} and ${earlier}`;
  const page = (from: Statement) =>
    namedEntries(
      db,
      sql`select ${shown}, coalesce(p.signed_as, p.name) as account_name from ${from} join person p on p.id = e.made_by
          where ${where} order by e.made_at desc, e.id desc limit ${size}`,
    );
  if (wordsSought(sought.words) === "") return page(sql`entry e`);
  const among = await page(
    sql`(select * from entry e where ${earlier} order by e.made_at desc, e.id desc limit ${newestLooked}) e`,
  );
  if (among.length === size) return among;
  return namedEntries(
    db,
    sql`with said as materialized (select e.id, e.made_at from entry e where ${where}),
          newest as (select id from said order by made_at desc, id desc limit ${size})
        select ${shown}, coalesce(p.signed_as, p.name) as account_name
        from newest n join entry e on e.id = n.id join person p on p.id = e.made_by order by e.made_at desc, e.id desc`,
  );
}

/** How much a workshop keeps, and since when. */
export const keptInAll = (db: Database, workshopId: string) =>
  one(
    db,
    sql`select coalesce(sum(entry_count), 0) as entries, count(*) as machines from machine where workshop_id = ${workshopId}`,
    (row) => ({ entries: Number(row.entries), machines: row.machines as number }),
  );

export const oldestEntry = (db: Database) =>
  maybeOne(
    db,
    sql`select made_at from entry order by made_at, id limit 1`,
    (row) => row.made_at.toISOString() as string,
  );
