import { Link } from "react-router";
import { isSlack, type JobRecord, type RoundPhase } from "~/core/logbook";
import { Button, buttonClass } from "~/ui/button";
import { useJobScreen } from "../entries/job-context";
import { useGearIn } from "../read/gear-keys";
import { nextGear } from "../read/next-gear";
import type { StationKey } from "./stations";

type Way = { to: StationKey; word: string };
const lockUp: Way = { to: "lock-up", word: "Lock up" };
const prove: Way = { to: "prove", word: "Prove it" };
const signOff: Way = { to: "sign-off", word: "Sign it off" };

/** Where it goes on once nothing is left to move: what was eased or moved is locked up, what nobody touched is signed off or proven. */
export function onwardOf(
  { clamps, moves, proofs }: Pick<JobRecord, "clamps" | "moves" | "proofs">,
  phase: RoundPhase,
): { now: Way; beside: Way | null } {
  if (phase === "check") return proofs.length > 0 ? { now: signOff, beside: prove } : { now: prove, beside: signOff };
  const touched = moves.length > 0 || clamps.some(isSlack);
  return touched ? { now: lockUp, beside: null } : { now: signOff, beside: prove };
}

/** The ways on, the usual one in blue; of a stage whose gears stand by themselves first the one that is still to be done. */
export function Onward({ phase }: { phase: RoundPhase }) {
  const { job, stage, stationPath } = useJobScreen();
  const { now, beside } = onwardOf(job.record, phase);
  const gear = nextGear(job.record, stage, useGearIn());
  return (
    <>
      {gear !== null && (
        <Button kind="now" large data-onward="" onClick={() => job.changeText("method.gear", gear)}>
          Now put {gear} in
        </Button>
      )}
      <Link
        to={stationPath(now.to)}
        replace
        className={buttonClass(gear === null ? "now" : "line", true)}
        {...(gear === null ? { "data-onward": "" } : {})}
      >
        {now.word}
      </Link>
      {beside && (
        <Link to={stationPath(beside.to)} replace className={buttonClass("line", true)}>
          {beside.word}
        </Link>
      )}
    </>
  );
}
