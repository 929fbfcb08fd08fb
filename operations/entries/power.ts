import { z } from "zod";
import { type Bodies, isSlack, type JobRecord } from "../../core/logbook";
import { text, words } from "../input";

const acknowledged = z.array(text(60)).max(20);

export const isolatedInput = z.object({ kind: z.literal("isolated"), lock: words(40), acknowledged });
export const liveInput = z.object({ kind: z.literal("live"), acknowledged });

/** What must be acknowledged before power: guards, what was put in, screws, people, locks. */
export const liveChecks = ["guards-on", "nothing-left-in", "screws-firm", "people-clear", "locks-off"] as const;

/** Going live keeps what the app saw at that moment on every stage of the job, whatever was acknowledged. */
export function buildLive(
  input: z.output<typeof liveInput>,
  parts: readonly { name: string; record: JobRecord }[],
): Bodies["live"] {
  const loose = parts.flatMap(({ name, record }) =>
    record.clamps.flatMap((clamp, i) => (isSlack(clamp) ? [`${name} clamp ${i + 1} ${clamp.state}`.trim()] : [])),
  );
  const left = (parts[0]?.record.things ?? []).map(({ thing }) => `${thing} still in`);
  return { acknowledged: input.acknowledged, saw: [...loose, ...left] };
}
