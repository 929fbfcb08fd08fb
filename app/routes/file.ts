import { asPersonJson, everyRole, refusalResponse } from "~/app/session/session.server";
import type { Route } from "./+types/file";
import { loadFile } from "./load-file.server";

/** The content of a photograph or file; it never changes, so a browser may keep it. */
export async function loader({ params, request, context }: Route.LoaderArgs) {
  return asPersonJson(context, everyRole, async (asked) => {
    const small = new URL(request.url).searchParams.get("small") === "1";
    const found = await loadFile(asked, params.entryId, small);
    if (!found) return refusalResponse(404, "no-such-entry");
    // A browser's own viewer does not open a sandboxed document; a picture it does.
    const shown = found.mediaType.startsWith("image/");
    return new Response(new Uint8Array(found.content), {
      headers: {
        "Content-Type": found.mediaType,
        "Content-Disposition": `${shown ? "inline" : "attachment"}; filename*=UTF-8''${encodeURIComponent(found.name)}`,
        "Content-Security-Policy": "sandbox; default-src 'none'; style-src 'unsafe-inline'; img-src 'self'",
        "Cache-Control": "private, max-age=31536000, immutable",
      },
    });
  });
}
