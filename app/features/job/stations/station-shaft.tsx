import { Link } from "react-router";
import { type JobRecord, outstandingRuns } from "~/core/logbook";
import { useIdle } from "~/ui/use-later";
import { type StationKey, stations } from "./stations";

/**
 * The stations as the journals of a stepped shaft: what is done is turned solid, where one is stands proud of the rest, and the centre
 * line runs through to the signature.
 */
export function StationShaft({
  here,
  record,
  locks,
  signed,
  pathOf,
}: {
  here: StationKey;
  record: JobRecord;
  /** Whether anything is adjusted, and so locked up. */
  locks: boolean;
  signed: boolean;
  pathOf: (station: StationKey) => string;
}) {
  // The other stations come while this one is read, so that walking on needs neither waiting nor a network.
  const idle = useIdle();
  const done = doneAt(record, signed);
  return (
    <nav aria-label="Stations" className="shrink-0 px-2 max-sm:px-0 relative">
      <span
        aria-hidden="true"
        className="absolute inset-x-0 top-1/2 h-0 border-t-2 border-mid [border-image:repeating-linear-gradient(90deg,var(--room-mid)_0_22px,transparent_22px_28px,var(--room-mid)_28px_32px,transparent_32px_38px)_1]"
      />
      <ol className="flex items-stretch relative">
        {stations
          .filter(({ key }) => key !== "as-found" || !record.firstBuild)
          .filter(({ key }) => key !== "lock-up" || locks)
          .map(({ key, name }) => (
            <li key={key} className="grow basis-0 min-w-0">
              <Link
                to={pathOf(key)}
                replace
                prefetch={idle ? "render" : "none"}
                aria-current={key === here ? "step" : undefined}
                className="h-14 flex items-center no-underline"
              >
                <span
                  className={`w-full px-1 flex items-center justify-center text-center leading-tight ${look(key === here, done[key])}`}
                >
                  {name}
                  {done[key] && <span className="sr-only">, done</span>}
                </span>
              </Link>
            </li>
          ))}
      </ol>
    </nav>
  );
}

const look = (here: boolean, done: boolean): string => {
  if (here) return `h-14 font-bold sm:text-lg border-2 border-ink ${done ? "bg-ink text-panel" : "bg-panel text-ink"}`;
  return `h-11 border-y-2 border-ink ${done ? "bg-ink text-panel" : "bg-ground text-ink"} border-l border-l-mid`;
};

const doneAt = (record: JobRecord, signed: boolean): Record<StationKey, boolean> => ({
  "make-safe": record.power !== null,
  "as-found": record.asFound !== null || record.feltAsFound !== null,
  apart: record.apart.parts.length > 0 && record.apart.off.length === 0 && record.apart.slack.length === 0,
  "put-right": record.measured.length > 0 || record.shafts.some(({ body }) => body.phase === "as fitted"),
  set: record.moves.length > 0 && !(record.changedSinceRound && record.changedSinceFeel),
  "lock-up": record.clamps.length > 0 && record.clamps.every(({ state }) => state === "firm" || state === "dressed"),
  prove: record.unproven.length === 0 && outstandingRuns(record.planned).length === 0,
  "sign-off": signed,
});
