import { createHash } from "node:crypto";
import canonicalize from "canonicalize";
import type { Entry } from "../core/logbook";
import { accept, type Result, refuse } from "../core/quantity";
import type { Database } from "../data/postgres";
import { submittedEntry } from "../data/queries/entries";

/** What came under an id, and from whom: by this the same thing sent again is told from something else under the same id. */
export type Submission = { madeBy: string; digest: Buffer };

/** Said anew each time the same thing is sent, or asked for that once only and kept nowhere. */
const notContent = new Set(["madeAt", "sentAt", "secret"]);

/** @param content what was sent, without what changes from one try to the next */
export function submissionOf(madeBy: string, content: object): Submission {
  const lasting = Object.fromEntries(Object.entries(content).filter(([name]) => !notContent.has(name)));
  return {
    madeBy,
    digest: createHash("sha256")
      .update(canonicalize(lasting) ?? "")
      .digest(),
  };
}

/**
 * What an operation answers where an entry of this id is there already: the entry, if it is the same submission of the same person come
 * again; a refusal `id-taken` if it is anything else; null where there is none yet.
 */
export async function alreadyThere(db: Database, id: string, submission: Submission): Promise<Result<Entry> | null> {
  const known = await submittedEntry(db, id);
  if (!known) return null;
  const same =
    known.entry.madeBy === submission.madeBy &&
    // Entries of an earlier release did not keep what they were made from.
    (known.submitted === null || known.submitted.equals(submission.digest));
  return same ? accept(known.entry) : refuse("id-taken", ["id"]);
}
