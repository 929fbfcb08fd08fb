import { data } from "react-router";
import { isId } from "~/app/session/is-id";
import { gearNames, waysToMeasure } from "~/core/stages";
import { paperDays } from "~/data/queries/entries";
import { instrumentsOfWorkshop } from "~/data/queries/instruments";
import { machineWithStage } from "~/data/queries/machines";
import { stageById } from "~/data/queries/stages";
import type { Context } from "~/operations/context";

/** A stage into whose logbook rounds of paper are brought, and those that are there. */
export async function loadPaper({ pool, person }: Context, stageId: string) {
  const machine = isId(stageId) ? await machineWithStage(pool, person.workshopId, stageId) : null;
  const stage = machine && (await stageById(pool, stageId));
  if (!machine || !stage || stage.retiredAt) throw data({ code: "no-such-stage" }, { status: 404 });
  const [instruments, days] = await Promise.all([
    instrumentsOfWorkshop(pool, person.workshopId),
    paperDays(pool, stage.id),
  ]);
  return {
    machine: { id: machine.id, name: machine.name },
    stage: { id: stage.id, name: stage.name },
    ways: waysToMeasure(stage.geometry.element),
    gears: gearNames(stage.geometry.element) ?? [],
    instruments: instruments.map(({ id, name }) => ({ id, name })),
    days: days.sort(),
  };
}
