import { bearingGrams, type GreasePlace, greaseDue, type UpkeepList } from "../greasing";
import { isoToDays } from "./days";
import { type Entry, isKind } from "./entry";
import { type MeterReading, usageAbout, usagePerDay } from "./meter";

/** One line of the list: when it is due, or why that is not known. */
export type UpkeepDue = {
  id: string;
  name: string;
  what: "grease" | "look";
  /** null: not known. */
  dueInDays: number | null;
  /** Why it is not known: nobody ever logged it, the list gives it no interval, or the meter's rate is not known. */
  unknown: "never" | "no-interval" | "no-meter" | null;
  by: "usage" | "days" | null;
  /** When it was last done. */
  last: string | null;
  /** g, said or by the bearing. */
  grams: number | null;
};

/**
 * What a machine's grease points and looks stand at. Usage beyond the last reading of the meter is taken at its rate so far.
 *
 * @param entries those by which it was greased and looked at, without voided ones
 * @returns in the order of the list; places marked as none here or to be kept dry are left out
 */
export function upkeepDue(
  list: UpkeepList,
  entries: readonly Entry[],
  meter: readonly MeterReading[],
  nowIso: string,
): UpkeepDue[] {
  const now = isoToDays(nowIso);
  const lastGreased = lastOf(
    entries.filter(isKind("greased")).map((e) => ({ at: e.madeAt, ids: e.body.points.map(({ id }) => id) })),
  );
  const lastLooked = lastOf(
    entries.filter(isKind("looked")).map((e) => ({ at: e.madeAt, ids: e.body.items.map(({ id }) => id) })),
  );
  const grease = list.grease
    .filter(({ mark }) => mark === "grease")
    .map((place): UpkeepDue => {
      const last = lastGreased.get(place.id) ?? null;
      const found = last === null ? notKnown("never") : greaseDueOf(place, last, meter, nowIso);
      return { id: place.id, name: place.name, what: "grease", last, grams: gramsOf(place), ...found };
    });
  const looks = list.looks.map((place): UpkeepDue => {
    const last = lastLooked.get(place.id) ?? null;
    const found =
      place.everyDays === null
        ? notKnown("no-interval")
        : last === null
          ? notKnown("never")
          : { dueInDays: place.everyDays - (now - isoToDays(last)), unknown: null, by: "days" as const };
    return { id: place.id, name: place.name, what: "look", last, grams: null, ...found };
  });
  return [...grease, ...looks];
}

const notKnown = (unknown: NonNullable<UpkeepDue["unknown"]>) => ({ dueInDays: null, unknown, by: null });

function lastOf(done: readonly { at: string; ids: readonly string[] }[]): Map<string, string> {
  const last = new Map<string, string>();
  for (const { at, ids } of done) for (const id of ids) if (at > (last.get(id) ?? "")) last.set(id, at);
  return last;
}

function greaseDueOf(place: GreasePlace, last: string, meter: readonly MeterReading[], nowIso: string) {
  const daysSince = isoToDays(nowIso) - isoToDays(last);
  const days = place.intervalDays === null ? null : place.intervalDays - daysSince;
  const byDays = { dueInDays: days, unknown: null, by: "days" as const };
  if (place.intervalUsage === null) return days === null ? notKnown("no-interval") : byDays;
  const [nowH, lastH, perDay] = [usageAbout(meter, nowIso), usageAbout(meter, last), usagePerDay(meter)];
  if (nowH === null || lastH === null || perDay === null || perDay <= 0)
    return days === null ? notKnown("no-meter") : byDays;
  const plan = greaseDue(
    [
      {
        id: place.id,
        intervalH: place.intervalUsage,
        lastH,
        dirt: place.dirt,
        wet: place.wet,
        tempC: place.tempC ?? notHot,
        vertical: place.vertical,
        byDays: place.intervalDays === null ? undefined : { intervalDays: place.intervalDays, daysSince },
      },
    ],
    nowH,
    perDay,
    0,
  ).points[0];
  return plan
    ? { dueInDays: plan.dueInDays, unknown: null, by: plan.by === "hours" ? ("usage" as const) : ("days" as const) }
    : notKnown("no-interval");
}

/** Up to here heat takes nothing of an interval. */
const notHot = 70;

const gramsOf = ({ grams, bearing }: GreasePlace): number | null => grams ?? (bearing ? bearingGrams(bearing) : null);

/** What is due first, where of anything that is known. */
export const firstDue = (all: readonly UpkeepDue[]): (UpkeepDue & { dueInDays: number }) | null =>
  all
    .flatMap((one) => (one.dueInDays === null ? [] : [{ ...one, dueInDays: one.dueInDays }]))
    .reduce<(UpkeepDue & { dueInDays: number }) | null>(
      (first, one) => (first === null || one.dueInDays < first.dueInDays ? one : first),
      null,
    );
