import type { Act } from "./visits";

const day = 86_400_000;

/** What is planned ahead: by day, by the meter, given to somebody; an instrument and a point with a day of its own. */
export function planActs(now: Date): Act[] {
  const on = (days: number) => new Date(now.getTime() + days * day).toISOString().slice(0, 10);
  const at = (daysAgo: number, hour: number) => {
    const when = new Date(now.getTime() - daysAgo * day);
    when.setUTCHours(hour, 10, 0, 0);
    return when;
  };
  const plan = (id: string, stageId: string, daysAgo: number, said: Record<string, unknown>): Act => ({
    at: at(daysAgo, 14),
    operation: "plan-visit",
    input: { id, stageId, date: null, ...said },
  });
  const give = (id: string, stageId: string, daysAgo: number, personId: string, note: string): Act => ({
    at: at(daysAgo, 15),
    operation: "assign",
    input: { id, stageId, personId, note },
  });
  return [
    plan("plan-fold", "fold", 11, { date: on(5), text: "Set back before the trend gets there" }),
    give(
      "give-fold",
      "fold",
      11,
      "technician",
      "The clamp at the infeed side has no room for a long wrench: take the short one. New compound is in drawer 4.",
    ),
    plan("plan-knife", "knife", 20, { date: on(-2), text: "Knives are changed: look at the drive with it" }),
    give("give-knife", "knife", 20, "second-technician", "The current differs by direction since the last change."),
    plan("plan-belts", "feed-belts", 6, { afterUsage: 3_000_000, text: "Re-tension the set" }),
    plan("plan-ring", "ring", 9, { date: on(21), text: "Closure again, both ways round" }),
    {
      at: at(8, 9),
      operation: "open-point",
      input: {
        id: "point-guard",
        machineId: "lift",
        stageId: null,
        text: "Guard of the column chain rattles: second screw",
        by: on(3),
      },
    },
  ];
}
