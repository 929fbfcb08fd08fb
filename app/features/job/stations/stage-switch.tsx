import { Link } from "react-router";
import { StateMark } from "~/ui/state-mark";
import { stateOfVerdict } from "../../words/state";
import { pathOf, useJobScreen } from "../entries/job-context";
import type { StationKey } from "./stations";

/** The stages of this job, each as it was last read; the one worked on stands out. */
export function StageSwitch({ here }: { here: StationKey }) {
  const { data, stage, job } = useJobScreen();
  return (
    <nav aria-label="Stages" className="border-b border-rule bg-panel shrink-0 overflow-x-auto">
      <ol className="flex min-w-max">
        {data.stages.map((item) => {
          const record = job.recordOf(item);
          const read = record.changedSinceRound ? null : record.lastRound;
          return (
            <li key={item.id}>
              <Link
                to={pathOf(data, item, here === "lock-up" ? "lock-up" : here)}
                replace
                aria-current={item === stage ? "true" : undefined}
                className={`flex items-center gap-3 min-h-12 px-5 max-sm:px-3.5 no-underline text-ink ${item === stage ? "font-bold bg-ground shadow-[inset_0_-4px_0_var(--room-ink)]" : ""}`}
              >
                {item.name}
                {record.lastRound ? (
                  <StateMark state={stateOfVerdict(read?.body.result.verdict ?? null)} />
                ) : (
                  <span className="text-mid font-normal">to do</span>
                )}
              </Link>
            </li>
          );
        })}
      </ol>
    </nav>
  );
}
