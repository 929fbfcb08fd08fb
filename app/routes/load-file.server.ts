import { isId } from "~/app/session/is-id";
import { attachmentContent } from "~/data/queries/attachments";
import type { Context } from "~/operations/context";

/** The content of a photograph or file, or its small preview; null where the workshop has no such one. */
export const loadFile = async ({ pool, person }: Context, entryId: string, small: boolean) =>
  isId(entryId) ? attachmentContent(pool, person.workshopId, entryId, small) : null;
