import { type Database, maybeOne, none, sql } from "../postgres";

export type StoredAttachment = { mediaType: string; content: Buffer };

/** The content of an attachment, or its small preview, if the workshop may see it. */
export const attachmentContent = (db: Database, workshopId: string, entryId: string, small: boolean) =>
  maybeOne(
    db,
    sql`select a.media_type, case when ${small} then coalesce(a.preview, a.content) else a.content end as content,
          ${small} and a.preview is not null as is_preview, e.body->>'name' as name
        from attachment a join entry e on e.id = a.entry_id join machine m on m.id = e.machine_id
        where a.entry_id = ${entryId} and m.workshop_id = ${workshopId}`,
    (row): StoredAttachment & { name: string } => ({
      mediaType: row.is_preview ? "image/jpeg" : row.media_type,
      content: row.content,
      name: row.name,
    }),
  );

/** SHA-256 of what is really stored, for verifying. */
export const attachmentDigest = (db: Database, entryId: string) =>
  maybeOne(
    db,
    sql`select encode(sha256(content), 'hex') as digest, media_type from attachment where entry_id = ${entryId}`,
    (row) => ({ digest: row.digest as string, mediaType: row.media_type as string }),
  );

export const insertAttachment = (
  db: Database,
  a: { entryId: string; sha256: Buffer; mediaType: string; content: Buffer; preview: Buffer | null },
) =>
  none(
    db,
    sql`insert into attachment (entry_id, sha256, media_type, content, preview) values (${a.entryId}, ${a.sha256}, ${a.mediaType}, ${a.content}, ${a.preview})`,
  );
