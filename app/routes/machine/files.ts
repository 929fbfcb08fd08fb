import { formOf } from "~/app/session/form-of";
import { asPersonJson, statusOf } from "~/app/session/session.server";
import { attachFile } from "~/operations/attach-file";
import { mayWork } from "~/operations/context";
import type { Route } from "./+types/files";

/** Keeps a photograph or file of the machine. */
export async function action({ params, request, context }: Route.ActionArgs) {
  return asPersonJson(context, mayWork, async (asked) => {
    const form = await formOf(request);
    const file = form.get("file");
    const content = file instanceof File ? new Uint8Array(await file.arrayBuffer()) : new Uint8Array();
    const input = {
      id: form.get("id"),
      machineId: params.machineId,
      stageId: form.get("stageId") || null,
      name: file instanceof File ? file.name : "",
      caption: form.get("caption") ?? "",
      names: form.get("names") || null,
      madeAt: form.get("madeAt") ?? asked.now.toISOString(),
      sentAt: form.get("sentAt") ?? undefined,
    };
    const result = await attachFile(asked, input, content);
    return result.ok
      ? Response.json({ done: true })
      : Response.json({ refusal: result.refusal }, statusOf(result.refusal, 422));
  });
}
