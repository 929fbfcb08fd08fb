import { formOf } from "~/app/session/form-of";
import { asPersonJson } from "~/app/session/session.server";
import { keepCertificate } from "~/operations/instruments";
import type { Route } from "./+types/certificates";

/** Keeps a certificate of the instrument. */
export async function action({ params, request, context }: Route.ActionArgs) {
  return asPersonJson(context, ["lead"], async (asked) => {
    const form = await formOf(request);
    const file = form.get("file");
    const content = file instanceof File ? new Uint8Array(await file.arrayBuffer()) : new Uint8Array();
    const name = file instanceof File && file.name ? file.name : "certificate.pdf";
    const result = await keepCertificate(
      asked,
      { id: form.get("id"), instrumentId: params.instrumentId, name },
      content,
    );
    return result.ok ? Response.json({ done: true }) : Response.json({ refusal: result.refusal }, { status: 422 });
  });
}
