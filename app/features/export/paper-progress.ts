/** How far a paper is: a page of it laid out, of how many as far as is known; made; or why there is none. */
export type PaperProgress = { page: number; of: number | null } | { made: true } | { failed: string };

/** Asked for so, a paper's address answers line by line how far it is. Made, it is kept, and its plain address gives it at once. */
export const progressOf = (path: string): string => `${path}?progress`;

/** Every line of an answer as it comes; a line that came in two pieces is put together. */
export async function* linesOf(body: ReadableStream<Uint8Array>): AsyncGenerator<PaperProgress> {
  const reader = body.pipeThrough(new TextDecoderStream() as TransformStream<Uint8Array, string>).getReader();
  let begun = "";
  for (;;) {
    const { done, value } = await reader.read();
    if (done) return;
    const lines = (begun + value).split("\n");
    begun = lines.pop() ?? "";
    for (const line of lines) yield JSON.parse(line) as PaperProgress;
  }
}
