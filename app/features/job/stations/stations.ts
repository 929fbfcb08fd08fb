import type { RoundPhase } from "~/core/logbook";

export const stations = [
  { key: "make-safe", name: "Make safe" },
  { key: "as-found", name: "As found" },
  { key: "apart", name: "Apart" },
  { key: "put-right", name: "Put right" },
  { key: "set", name: "Set" },
  { key: "lock-up", name: "Lock up" },
  { key: "prove", name: "Prove" },
  { key: "sign-off", name: "Sign off" },
] as const;

export type StationKey = (typeof stations)[number]["key"];

export const stationOf = (text: string | undefined): StationKey | null =>
  stations.find((station) => station.key === text)?.key ?? null;

/** What ends a round at each of them. */
export const doneWords: Record<RoundPhase, string> = {
  "as-found": "Round done",
  set: "Reading done",
  check: "Check round done",
};
