import { useState } from "react";
import { isSlack } from "~/core/logbook";
import { Button } from "~/ui/button";
import { later, useLater } from "~/ui/use-later";
import { useJobScreen } from "../entries/job-context";

const box = later(async () => (await import("./ledger-box")).LedgerBox);

/** What is loose: everything put in for the work, and every clamp screw, for all stages of the job. Always at hand in the head. */
export function Ledger() {
  const { data, job } = useJobScreen();
  const [open, setOpen] = useState(false);
  const { things } = job.record;
  const clamps = data.stages.flatMap((stage) => job.recordOf(stage).clamps);
  const slack = clamps.filter(isSlack).length;
  const unknown = clamps.filter(({ state }) => state === "unknown").length;
  const count = things.length + slack;
  const Box = useLater(box, open, () => setOpen(false));
  return (
    <>
      <Button
        kind="quiet"
        onClick={() => setOpen(true)}
        aria-label={`Left in and loose: ${things.length} put in, ${slack} clamps not firm, ${unknown} not known`}
      >
        Left in and loose{count > 0 && <b className="figure">{count}</b>}
      </Button>
      {Box && <Box news={ledgerNews(things.length, slack, unknown)} open={open} setOpen={setOpen} />}
    </>
  );
}

export function ledgerNews(things: number, slack: number, unknown: number): string {
  if (things + slack + unknown === 0) return "All out, all firm";
  const put = things === 0 ? "all out" : `${things} ${things === 1 ? "thing is" : "things are"} still in`;
  const loose = slack === 0 ? "" : `${slack} ${slack === 1 ? "clamp" : "clamps"} not firm`;
  const silent = unknown === 0 ? "" : `${unknown} ${unknown === 1 ? "clamp" : "clamps"} not known`;
  const screws = [loose, silent].filter(Boolean).join(", ") || "all firm";
  return `${put.charAt(0).toUpperCase()}${put.slice(1)}, ${screws}`;
}
