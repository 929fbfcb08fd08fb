import { data } from "react-router";
import { isId } from "~/app/session/is-id";
import type { Context } from "~/operations/context";
import { exportPerson } from "~/operations/export-person";
import { download, fileName } from "./download.server";

/** What is kept of one person, as a file. */
export async function personDataFile(asked: Context, personId: string): Promise<Response> {
  if (!isId(personId)) throw data({ code: "no-such-person" }, { status: 404 });
  const pieces = await exportPerson(asked, personId);
  if (!pieces.ok)
    throw data({ code: pieces.refusal.code }, { status: pieces.refusal.code === "no-such-person" ? 404 : 403 });
  return download(pieces.value, "application/json", fileName(`person ${personId.slice(-6)}`, "json"));
}
