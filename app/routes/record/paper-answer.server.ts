import { downloadHeaders } from "~/app/features/export/download.server";
import type { PaperProgress } from "~/app/features/export/paper-progress";
import type { OnPage } from "~/app/features/record/on-page";

/** A paper as a file; or, asked for its progress, how far it is, a line a page, until it is made. */
export async function paperAnswer(
  request: Request,
  name: string,
  print: (onPage?: OnPage) => Promise<Uint8Array>,
): Promise<Response> {
  if (new URL(request.url).searchParams.has("progress")) return progress(print);
  return new Response(new Uint8Array(await print()), { headers: downloadHeaders("application/pdf", name, "pdf") });
}

function progress(print: (onPage: OnPage) => Promise<Uint8Array>): Response {
  const encoder = new TextEncoder();
  let gone = false;
  const body = new ReadableStream<Uint8Array>({
    async start(controller) {
      const say = (line: PaperProgress) => {
        if (!gone) controller.enqueue(encoder.encode(`${JSON.stringify(line)}\n`));
      };
      try {
        await print((page, of) => say({ page, of: of ?? null }));
        say({ made: true });
      } catch (error) {
        say({ failed: error instanceof Error ? error.name : "Error" });
      }
      if (!gone) controller.close();
    },
    cancel: () => {
      gone = true;
    },
  });
  // Not compressed: a line is to come as soon as it is said.
  return new Response(body, {
    headers: { "Content-Type": "application/x-ndjson", "Cache-Control": "no-store, no-transform" },
  });
}
