/** A name that every file system takes. */
export const fileName = (name: string, ending: string): string =>
  `${
    name
      .toLowerCase()
      .replace(/[^a-z0-9]+/g, "-")
      .replace(/^-|-$/g, "") || "record"
  }.${ending}`;

/** An answer that a browser saves as a file; written in pieces, as they come. */
export function download(pieces: AsyncGenerator<string>, mediaType: string, name: string): Response {
  const encoder = new TextEncoder();
  const body = new ReadableStream<Uint8Array>({
    async pull(controller) {
      const { done, value } = await pieces.next();
      if (done) controller.close();
      else controller.enqueue(encoder.encode(value));
    },
  });
  return new Response(body, {
    headers: {
      "Content-Type": mediaType,
      "Content-Disposition": `attachment; filename="${name}"`,
      "Cache-Control": "no-store",
    },
  });
}

export const downloadHeaders = (mediaType: string, name: string, ending: string): HeadersInit => ({
  "Content-Type": mediaType,
  "Content-Disposition": `attachment; filename="${fileName(name, ending)}"`,
  "Cache-Control": "no-store",
});
