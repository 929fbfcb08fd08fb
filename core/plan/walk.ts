import type { DueItem, PlacedMachine } from "./vocabulary";
import { dayNumber } from "./when";

/** A stop on the way: a machine with all that is due at it. */
export type Stop = { machine: PlacedMachine; items: DueItem[] };
/** A hall with its machines in the order in which one comes past them. */
export type HallOnWay = { site: string; hall: string; stops: Stop[] };

const inOrder = new Intl.Collator("en", { numeric: true, sensitivity: "base" });

/**
 * One walk through the works: each hall once, each machine once. Within a site the hall that waits longest comes first, so that what is
 * cut short by the end of the shift is what could wait; within a hall the places follow as they are numbered. Machines whose hall or place
 * nobody said come last.
 *
 * @param items those of machines; instruments are left out
 */
export function walkOf(items: readonly DueItem[]): HallOnWay[] {
  const stops = new Map<string, Stop>();
  for (const item of items) {
    if (!item.machine) continue;
    const stop = stops.get(item.machine.id) ?? { machine: item.machine, items: [] };
    stop.items.push(item);
    stops.set(item.machine.id, stop);
  }
  const halls = new Map<string, HallOnWay>();
  for (const stop of stops.values()) {
    const { site, hall } = stop.machine;
    const key = `${site}\n${hall}`;
    const known = halls.get(key) ?? { site, hall, stops: [] };
    known.stops.push(stop);
    halls.set(key, known);
  }
  const way = [...halls.values()];
  for (const { stops: inHall } of way) {
    inHall.sort((a, b) => byName(a.machine.place, b.machine.place) || byName(a.machine.name, b.machine.name));
    for (const { items: own } of inHall) own.sort((a, b) => first(a) - first(b));
  }
  const siteWaits = (site: string) => Math.min(...way.filter((hall) => hall.site === site).map(waits));
  return way.sort(
    (a, b) =>
      siteWaits(a.site) - siteWaits(b.site) ||
      byName(a.site, b.site) ||
      Number(a.hall === "") - Number(b.hall === "") ||
      waits(a) - waits(b) ||
      byName(a.hall, b.hall),
  );
}

/** What is said before what is not. */
const byName = (a: string, b: string): number => Number(a === "") - Number(b === "") || inOrder.compare(a, b);

/** Later than any day: what nobody gave one waits for everything else. */
const noDay = 1e9;
const first = ({ on }: DueItem): number => (on === null ? noDay : dayNumber(on));
const waits = ({ stops }: HallOnWay): number => Math.min(...stops.flatMap(({ items }) => items.map(first)));
