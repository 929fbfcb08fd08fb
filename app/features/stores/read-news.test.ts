import { afterEach, expect, test, vi } from "vitest";
import { readNews } from "./read-news";

afterEach(() => vi.unstubAllGlobals());

/** A server that sends these pieces one after the other; the last may be "cut". */
function serverThatSends(...pieces: string[]): void {
  vi.stubGlobal("fetch", async () => {
    const encoder = new TextEncoder();
    return new Response(
      new ReadableStream({
        start(controller) {
          for (const piece of pieces) {
            if (piece === "cut") return controller.error(new TypeError("network"));
            controller.enqueue(encoder.encode(piece));
          }
          controller.close();
        },
      }),
    );
  });
}
const shares: number[] = [];
const read = () => readNews("/stores/sheets/stores", "kind,name", (share) => shares.push(share));

test("how far it is comes as it goes, whatever way the network cuts the lines; the end is what comes of it", async () => {
  shares.length = 0;
  serverThatSends('{"share":0.1}\n{"sh', 'are":0.5}\n', '{"share":0.9}\n{"report":{"saved":true}}', "\n");
  expect(await read()).toEqual({ report: { saved: true } });
  expect(shares).toEqual([0.1, 0.5, 0.9]);
});

test("a refusal before anything was begun comes as one object", async () => {
  serverThatSends('{"refusal":{"code":"role","path":[],"facts":{}}}');
  expect(await read()).toEqual({ refusal: { code: "role", path: [], facts: {} } });
});

test.each([
  ["the network goes in the middle", ['{"share":0.4}\n', "cut"]],
  ["the answer ends before its end", ['{"share":0.4}\n']],
  ["there is no answer", [""]],
  ["something else answers", ["<html>Not here</html>"]],
])("%s: it is said, and nothing is taken for done", async (_, pieces) => {
  serverThatSends(...pieces);
  expect(await read()).toMatchObject({ refusal: { code: "offline-file" } });
});
