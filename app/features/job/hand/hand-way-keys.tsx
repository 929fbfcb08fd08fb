import type { RoundPhase } from "~/core/logbook";
import { Button } from "~/ui/button";
import { useJobScreen } from "../entries/job-context";
import { handWaysOf, handWayWords } from "./hand-ways";

/** The ways to read this stage without numbers. */
export function HandWayKeys({ phase }: { phase: RoundPhase }) {
  const { stage, job } = useJobScreen();
  return handWaysOf(stage.geometry.element).map((way) => (
    <Button key={way} kind="quiet" onClick={() => job.changeText(`way.${phase}`, way)}>
      {handWayWords[way]}
    </Button>
  ));
}
