import { isSlack, type JobRecord } from "../../core/logbook";

/** What the app sees on the stages of a job before power comes on, and what nobody has told it. */
export function seenBeforePower(parts: readonly { name: string; record: JobRecord }[]): {
  saw: string[];
  notKnown: string[];
} {
  const clamps = (which: (clamp: JobRecord["clamps"][number]) => boolean, word: (state: string) => string) =>
    parts.flatMap(({ name, record }) =>
      record.clamps.flatMap((clamp, i) => (which(clamp) ? [`${name} clamp ${i + 1} ${word(clamp.state)}`.trim()] : [])),
    );
  const left = (parts[0]?.record.things ?? []).map(({ thing }) => `${thing} still in`);
  return {
    saw: [...clamps(isSlack, (state) => state), ...left],
    notKnown: clamps(
      ({ state }) => state === "unknown",
      () => "not logged in this job",
    ),
  };
}
