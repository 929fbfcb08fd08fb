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
  const apart = parts[0]?.record.apart;
  const open = apart
    ? [
        ...apart.off.map(({ name }) => `${name} is off`),
        ...apart.missing.map(({ part, what, pieces }) => `${pieces} × ${what} of ${part.name} not in`),
        ...apart.over.map(({ part, what, pieces }) => `${pieces} × ${what} more in ${part.name} than came out`),
        ...apart.slack.map(({ name, state }) => `screws of ${name} ${state}`),
        ...(apart.binds ? ["it does not turn freely by hand"] : []),
      ]
    : [];
  const left = (parts[0]?.record.things ?? []).map(({ thing }) => `${thing} still in`);
  return {
    saw: [...clamps(isSlack, (state) => state), ...open, ...left],
    notKnown: [
      ...clamps(
        ({ state }) => state === "unknown",
        () => "not logged in this job",
      ),
      ...(apart?.uncounted ?? []).map(({ name }) => `screws of ${name} not counted as they came out`),
    ],
  };
}
