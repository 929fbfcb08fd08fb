import type { Act } from "./visits";

const day = 86_400_000;
const unsaid = { load: null, warmth: null, speed: null };

/** A knock that was traced by its period, some months ago. */
export function symptomActs(now: Date): Act[] {
  const at = (daysAgo: number, minutes: number) => new Date(now.getTime() - daysAgo * day + minutes * 60_000);
  const suspect = (id: string, minutes: number, more: Record<string, unknown>): Act => ({
    at: at(151, minutes),
    operation: "log-symptom",
    input: {
      kind: "suspect",
      id,
      machineId: "die-cutter",
      names: "knock",
      cause: null,
      test: "mark-and-watch",
      ...more,
    },
  });
  return [
    {
      at: at(151, 0),
      operation: "log-symptom",
      input: {
        ...{ kind: "symptom", id: "knock", machineId: "die-cutter", kinds: ["knock"] },
        when: { direction: "both-ways", place: "one-place", ...unsaid },
        ...{ words: "since the boards with staples", perMinute: "80.6", offPercent: "1.4", taps: 12, motorRpm: "480" },
      },
    },
    suspect("knock-gear", 9, {
      ...{ stageId: "speed", part: "driver-turn", gear: "low", state: "ruled-out" },
      note: "Mark comes by with it, every tooth clean",
    }),
    suspect("knock-wheel", 16, {
      ...{ stageId: "first", part: "driven-turn", state: "found", cause: "tooth-damaged" },
      note: "A staple pressed into the gap at tooth 31; out, tooth not hurt",
    }),
  ];
}
