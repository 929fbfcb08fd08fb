import { Worker } from "node:worker_threads";
import { type Printed, printed } from "~/app/features/record/printed";
import { Busy, queueOf } from "~/operations/queue";

/** Makes papers; the same paper asked for again is the one of before. */
export type Printer = { print: (key: string, asked: Printed) => Promise<Uint8Array>; end: () => Promise<void> };

const inLine = 2;
const longestMs = 90_000;
const mostKeptBytes = 16_000_000;
const mostMegabytes = 768;

/**
 * Papers are made in a thread of their own, one at a time with two in line, so that nobody else waits for them; one that takes too long is given up with
 * its thread. What was made is kept by what it shows for a while.
 *
 * @param workerFile the built thread; null makes them here, as in development
 */
export function openPrinter(workerFile: string | null): Printer {
  const inTurn = queueOf(1, inLine);
  const kept = new Map<string, Uint8Array>();
  let worker: Worker | null = null;

  const keep = (key: string, paper: Uint8Array): void => {
    kept.set(key, paper);
    let bytes = 0;
    for (const [old, { length }] of [...kept].reverse()) {
      bytes += length;
      if (bytes > mostKeptBytes) kept.delete(old);
    }
  };

  const inThread = (file: string, asked: Printed): Promise<Uint8Array> =>
    new Promise((done, fail) => {
      worker ??= new Worker(file, { resourceLimits: { maxOldGenerationSizeMb: mostMegabytes } });
      const thread = worker;
      const finish = (then: () => void): void => {
        clearTimeout(timer);
        thread.removeAllListeners();
        then();
      };
      const giveUp = (why: Error): void =>
        finish(() => {
          worker = null;
          thread.terminate();
          fail(why);
        });
      const timer = setTimeout(() => giveUp(new Busy("a paper took too long")), longestMs);
      thread.once("message", ({ paper, failure }: { paper?: Uint8Array; failure?: string }) =>
        finish(() => (paper ? done(paper) : fail(new Error(failure)))),
      );
      thread.once("error", giveUp);
      thread.once("exit", () => giveUp(new Error("the thread that makes papers ended")));
      thread.postMessage(asked);
    });

  return {
    async print(key, asked) {
      const known = kept.get(key);
      if (known) return known;
      const paper = await inTurn(
        async () => kept.get(key) ?? (workerFile ? inThread(workerFile, asked) : printed(asked)),
      );
      keep(key, paper);
      return paper;
    },
    end: async () => {
      const thread = worker;
      worker = null;
      thread?.removeAllListeners();
      await thread?.terminate();
    },
  };
}
