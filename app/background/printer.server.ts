import { Worker } from "node:worker_threads";
import type { OnPage } from "~/app/features/record/on-page";
import { type Printed, printed } from "~/app/features/record/printed";
import { Busy, queueOf } from "~/operations/queue";

/** Makes papers; the same paper asked for again is the one of before. */
export type Printer = {
  /** @param onPage told of every page as it is laid out */
  print: (key: string, asked: Printed, onPage?: OnPage) => Promise<Uint8Array>;
  end: () => Promise<void>;
};

/** What the thread says: a page laid out, of how many as far as it knows; the paper; or why there is none. */
type Said = { page?: Parameters<OnPage>; paper?: Uint8Array; failure?: string };

const inLine = 2;
const longestMs = 90_000;
const mostKeptBytes = 16_000_000;
const mostMegabytes = 768;

/**
 * Papers are made in a thread of their own, one at a time with two in line, so that nobody else waits for them; one that takes too long is given up with
 * its thread. What was made is kept by what it shows for a while.
 *
 * @param workerFile the built thread; null makes them here, as in development
 * @param report told why a thread was lost
 */
export function openPrinter(workerFile: string | null, report: (error: Error) => void = () => {}): Printer {
  const inTurn = queueOf(1, inLine);
  const kept = new Map<string, Uint8Array>();
  let worker: Worker | null = null;
  let answer: ((made: { paper?: Uint8Array; failure?: Error }) => void) | null = null;
  let pageMade: OnPage | null = null;

  const keep = (key: string, paper: Uint8Array): void => {
    kept.set(key, paper);
    let bytes = 0;
    for (const [old, { length }] of [...kept].reverse()) {
      bytes += length;
      if (bytes > mostKeptBytes) kept.delete(old);
    }
  };

  const inThread = (file: string, asked: Printed, onPage: OnPage): Promise<Uint8Array> =>
    new Promise((done, fail) => {
      const thread = worker ?? open(file);
      worker = thread;
      const timer = setTimeout(() => lose(thread, new Busy("a paper took too long")), longestMs);
      pageMade = onPage;
      answer = ({ paper, failure }) => {
        clearTimeout(timer);
        answer = null;
        pageMade = null;
        if (paper) done(paper);
        else fail(failure ?? new Error("no paper"));
      };
      thread.postMessage(asked);
    });

  /** Whatever it still says when it is given up, or dies of between two papers, is listened to: nothing of it ends the server. */
  const open = (file: string): Worker => {
    const thread = new Worker(file, { resourceLimits: { maxOldGenerationSizeMb: mostMegabytes } });
    thread.on("message", ({ page, paper, failure }: Said) => {
      if (page) pageMade?.(...page);
      else answer?.(paper ? { paper } : { failure: new Error(failure) });
    });
    // Its death may be heard of before the last paper that it sent; its end never is.
    let why = new Error("the thread that makes papers ended");
    thread.on("error", (error) => {
      why = error;
    });
    thread.on("exit", () => lose(thread, why));
    return thread;
  };

  const lose = (thread: Worker, why: Error): void => {
    if (worker !== thread) return;
    worker = null;
    report(why);
    thread.terminate();
    answer?.({ failure: why });
  };

  return {
    async print(key, asked, onPage = () => {}) {
      const known = kept.get(key);
      if (known) return known;
      return inTurn(async () => {
        const made =
          kept.get(key) ?? (await (workerFile ? inThread(workerFile, asked, onPage) : printed(asked, onPage)));
        keep(key, made);
        return made;
      });
    },
    end: async () => {
      const thread = worker;
      worker = null;
      await thread?.terminate();
    },
  };
}
