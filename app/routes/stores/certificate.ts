import { asPersonJson, everyRole, refusalResponse } from "~/app/session/session.server";
import type { Route } from "./+types/certificate";
import { loadCertificate } from "./load-instruments.server";

/** The content of a certificate; it never changes, so a browser may keep it. */
export async function loader({ params, context }: Route.LoaderArgs) {
  return asPersonJson(context, everyRole, async (asked) => {
    const found = await loadCertificate(asked, params.certificateId);
    if (!found) return refusalResponse(404, "no-such-instrument");
    return new Response(new Uint8Array(found.content), {
      headers: {
        "Content-Type": "application/pdf",
        "Content-Disposition": `attachment; filename*=UTF-8''${encodeURIComponent(found.name)}`,
        "Content-Security-Policy": "sandbox; default-src 'none'",
        "Cache-Control": "private, max-age=31536000, immutable",
      },
    });
  });
}
