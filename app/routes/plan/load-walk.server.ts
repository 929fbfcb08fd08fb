import { kitNeeds } from "~/app/features/plan/kit-needs";
import { readerOf } from "~/app/features/words/reader";
import { layOut, walkOf } from "~/core/plan";
import { openPointsOf } from "~/data/queries/open-points";
import { lastInstruments, planPage } from "~/data/queries/plan";
import { stagesById } from "~/data/queries/stages";
import type { Context } from "~/operations/context";
import { dayIn } from "~/operations/day-in";
import { upkeepNow } from "~/operations/refresh-upkeep";
import type { PlanAsked } from "./asked";
import { workersOf } from "./load-plan.server";

/** How far ahead a walk takes with it what falls due. */
export const walkDays = [0, 7, 30] as const;
const usualDays = 7;
/** What one walk can hold. */
const mostItems = 120;
const dayMs = 86_400_000;

/** One walk through the halls that sees to all that falls due until a day, and what to take along for it. */
export async function loadWalk(context: Context, asked: PlanAsked, days: number | null) {
  const { pool, person, now } = context;
  const ahead = walkDays.find((known) => known === days) ?? usualDays;
  const [today, until] = [now, new Date(now.getTime() + ahead * dayMs)].map((at) => dayIn(at, person.timeZone));
  const filter = {
    site: asked.site,
    hall: asked.hall,
    personId: asked.mine ? person.id : null,
    machineId: asked.machine,
    until: until as string,
  };
  const found = await planPage(pool, person.workshopId, filter, null, mostItems + 1);
  const items = found.slice(0, mostItems).filter(({ machine }) => machine !== null);
  const machines = [
    ...new Map(items.flatMap(({ machine }) => (machine ? [[machine.id, machine] as const] : []))).values(),
  ];
  const stageIds = [...new Set(items.flatMap(({ stage }) => (stage ? [stage.id] : [])))];
  const [stages, instruments, points, people] = await Promise.all([
    stagesById(pool, stageIds),
    lastInstruments(pool, stageIds),
    openPointsOf(
      pool,
      machines.map(({ id }) => id),
    ),
    workersOf(context),
  ]);
  const greased = [];
  for (const { id, name } of machines.filter(({ id }) =>
    items.some((one) => one.kind === "grease" && one.machine?.id === id),
  )) {
    const { kept, due } = await upkeepNow(pool, id, now);
    for (const one of due)
      if (one.what === "grease" && one.dueInDays !== null && one.dueInDays <= ahead)
        greased.push({
          machine: name,
          kind: kept?.list.grease.find((place) => place.id === one.id)?.kind ?? "",
          grams: one.grams,
        });
  }
  const named = (machineId: string) => machines.find(({ id }) => id === machineId)?.name ?? "";
  return {
    walk: walkOf(items),
    kit: layOut(
      kitNeeds(readerOf(person), {
        stages: stages.map((stage) => ({ stage, machine: named(stage.machineId) })),
        instruments: instruments.map(({ stageId, name }) => ({
          name,
          machine: named(stages.find(({ id }) => id === stageId)?.machineId ?? ""),
        })),
        greased,
        orders: points
          .filter(({ code }) => code === "order")
          .map(({ text, machineId }) => ({ text, machine: named(machineId) })),
      }),
    ),
    unread: stageIds.length - instruments.length,
    points: points.map(({ machineId }) => machineId),
    cut: found.length > mostItems,
    people,
    asked,
    days: ahead,
    today: today as string,
    until: until as string,
  };
}
