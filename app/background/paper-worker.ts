import { parentPort } from "node:worker_threads";
import { type Printed, printed } from "~/app/features/record/printed";

/** A thread that makes papers, one after the other, while the server answers everybody else. */
parentPort?.on("message", async (asked: Printed) => {
  try {
    parentPort?.postMessage({ paper: await printed(asked, (...page) => parentPort?.postMessage({ page })) });
  } catch (error) {
    parentPort?.postMessage({ failure: error instanceof Error ? (error.stack ?? error.message) : String(error) });
  }
});
