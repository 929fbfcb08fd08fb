import { Link } from "react-router";
import { type FloorState, floorStates } from "~/core/records/floor-state";
import type { FloorGroup } from "~/data/queries/floor";
import { MarkShape } from "~/ui/state-mark";
import { type FloorAsked, floorAddress } from "./asked";

const words: Record<FloorState, string> = {
  outside: "Outside",
  near: "Near the edge",
  due: "Due",
  unread: "Not read",
  open: "Open",
};

/** How many machines are in each state; a press shows those alone, a second one all again. */
export function StateStrip({ fitting, asked }: { fitting: readonly FloorGroup[]; asked: FloorAsked }) {
  const count = (state: FloorState) => fitting.reduce((sum, group) => sum + group[state], 0);
  return (
    <ul aria-label="Machines by state" className="flex flex-wrap gap-x-2 gap-y-1">
      {floorStates.map((state) => {
        const here = asked.state === state;
        return (
          <li key={state}>
            <Link
              to={floorAddress({ ...asked, state: here ? null : state })}
              aria-current={here ? "true" : undefined}
              preventScrollReset
              className={`min-h-11 px-3 inline-flex items-center gap-2 no-underline font-semibold ${here ? "bg-ink text-panel" : "text-ink"}`}
            >
              <StateSign state={state} />
              <span className="underline">{words[state]}</span> <span className="figure">{count(state)}</span>
            </Link>
          </li>
        );
      })}
    </ul>
  );
}

/** Told by shape before colour: the marks of the stages, a calendar leaf for what is due, an open ring for what was left. */
function StateSign({ state }: { state: FloorState }) {
  return (
    <svg width="16" height="16" viewBox="0 0 16 16" aria-hidden="true" className="bg-panel">
      {state === "outside" && <MarkShape state="outside" x={8} y={8} r={5} />}
      {state === "near" && <MarkShape state="near" x={8} y={8} r={5} />}
      {state === "unread" && <MarkShape state="unknown" x={8} y={8} r={5} />}
      {state === "due" && (
        <path d="M3 4H13V13.5H3ZM3 7H13M6 2V5M10 2V5" className="fill-none stroke-ink" strokeWidth="1.6" />
      )}
      {state === "open" && <path d="M12.5 5.5A5.2 5.2 0 1 0 13 9" className="fill-none stroke-ink" strokeWidth="2" />}
    </svg>
  );
}
