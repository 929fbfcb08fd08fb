import * as z from "zod";
import type { Bodies, JobRecord } from "../../core/logbook";
import { accept, type Result, refuse } from "../../core/quantity";
import { text, words } from "../input";
import { seenBeforePower } from "./seen-before-power";

/** What stood on the screen, word for word, and the code by which the app knows it. */
const said = z.object({ key: words(60), text: words(400) });
const acknowledged = z.array(said).max(40);

export const isolatedInput = z.object({
  kind: z.literal("isolated"),
  /** Empty where none was put on. */
  lock: text(40).trim(),
  /** What was done in place of a lock. */
  noLock: said.nullable().default(null),
  acknowledged,
  notAcknowledged: acknowledged,
});
export const liveInput = z.object({ kind: z.literal("live"), acknowledged });

/** What must be acknowledged before power: guards, what was put in, screws, people, locks. */
export const liveChecks = ["guards-on", "nothing-left-in", "screws-firm", "people-clear", "locks-off"] as const;

/** Isolated as it was acknowledged; without a lock's number it is said what was done in its place. */
export function buildIsolated(input: z.output<typeof isolatedInput>): Result<Bodies["isolated"]> {
  const { lock, noLock, acknowledged, notAcknowledged } = input;
  if (lock === "" && !noLock) return refuse("empty", ["lock"]);
  if (lock !== "" && noLock) return refuse("lock-and-none", ["lock"]);
  return accept({ lock: lock || null, noLock, acknowledged, notAcknowledged });
}

/** Going live keeps what the app saw at that moment on every stage of the job, whatever was acknowledged. */
export function buildLive(
  input: z.output<typeof liveInput>,
  parts: readonly { name: string; record: JobRecord }[],
): Result<Bodies["live"]> {
  const missing = liveChecks.find((check) => !input.acknowledged.some(({ key }) => key === check));
  if (missing) return refuse("not-acknowledged", ["acknowledged", missing]);
  return accept({ acknowledged: input.acknowledged, ...seenBeforePower(parts) });
}
