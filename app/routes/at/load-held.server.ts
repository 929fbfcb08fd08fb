import { type HeldFor, heldFor, meterOf, voidedBy } from "~/core/logbook";
import type { Stage } from "~/core/records";
import { judgeEnds } from "~/core/rounds";
import { slackEndOf } from "~/core/stages";
import { stageHistory, usageReadings } from "~/data/queries/entries";
import type { Context } from "~/operations/context";

/** Rounds and moves that are looked back on. */
const lookedBack = 60;
const meterReadings = 400;

/** How long the strand of a stage held each time that it was tightened. */
export async function loadHeld({ pool }: Context, machineId: string, stage: Stage): Promise<HeldFor> {
  const [history, usage] = await Promise.all([
    stageHistory(pool, stage.id, lookedBack),
    usageReadings(pool, machineId, meterReadings),
  ]);
  const voided = voidedBy(history);
  return heldFor(
    history.filter((entry) => !voided.has(entry.id)),
    ({ body: { result } }) => {
      const slackEnd = slackEndOf(result.quantity);
      return stage.limits && slackEnd ? judgeEnds(result, stage.limits).beyond[slackEnd] : null;
    },
    meterOf(usage),
    stage.adjuster.id,
  );
}
