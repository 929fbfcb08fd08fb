import { Button } from "~/ui/button";
import { refusalWords } from "../words/refusal";
import type { Waiting } from "./waiting-store";

/** An entry that the server would not take: why, and what was in it, until the technician has put it aside. */
export function RefusedStrip({ waiting, onAside }: { waiting: Waiting; onAside: () => void }) {
  return (
    <div role="alert" className="bg-panel border-b-2 border-outside px-5 max-sm:px-3.5 py-2 flex gap-4 items-center">
      <p className="grow">
        <b>Not taken into the logbook:</b> {waiting.refusal && refusalWords(waiting.refusal)}{" "}
        <span className="select-all">{contentWords(waiting.payload)}</span>
      </p>
      <Button kind="quiet" onClick={onAside}>
        Put aside
      </Button>
    </div>
  );
}

/** What was in it, so that it can be written down or copied. */
function contentWords(payload: Waiting["payload"]): string {
  const { kind, text, amount, readings } = payload as Record<string, unknown> & { kind: string };
  if (kind === "note") return `“${text}”`;
  if (kind === "move") return `Move of ${amount}`;
  if (kind === "round" && Array.isArray(readings))
    return readings.map((reading: { tooth: number; typed: string }) => `${reading.tooth}: ${reading.typed}`).join(", ");
  return kind.replaceAll("-", " ");
}
