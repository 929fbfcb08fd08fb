import { type Entry, isKind, voidedBy } from "../../core/logbook";
import { type PracticeEvent, partOf } from "../../core/practice";
import type { PracticeAct } from "../../core/practice/schema";
import type { KeptAct } from "../../data/queries/practice";

/**
 * What somebody did on a practice machine, in the order in which it happened: what stands in its logbook, and what was done beside it. An entry
 * that was voided was never done.
 *
 * @param stageIds in the order of the case
 */
export function practised(
  stageIds: readonly string[],
  acts: readonly KeptAct[],
  entries: readonly Entry[],
): PracticeEvent[] {
  const voided = voidedBy(entries);
  const counting = entries.filter(({ id }) => !voided.has(id));
  const events: PracticeEvent[] = [];
  let next = 0;
  const upTo = (seq: number) => {
    for (; (counting[next]?.seq ?? Number.POSITIVE_INFINITY) <= seq; next++)
      events.push(...ofEntry(counting[next] as Entry, stageIds));
  };
  for (const { act, afterEntry } of acts) {
    upTo(afterEntry);
    const event = eventOf(act, stageIds);
    if (event) events.push(event);
  }
  upTo(Number.MAX_SAFE_INTEGER);
  return events;
}

/** null: of a stage that is not of the case. */
export function eventOf(act: PracticeAct, stageIds: readonly string[]): PracticeEvent | null {
  if (act.does === "wait") return { did: "wait", minutes: act.minutes };
  if (act.does === "listen") return { did: "listen" };
  const stage = stageIds.indexOf(act.stageId);
  if (stage < 0) return null;
  if (act.does === "read") return { did: "read", stage, key: act.key, place: act.place, hold: act.hold };
  if (act.does === "renew") return { did: "renew", stage, part: act.part };
  return { did: "test", test: act.test, stage, part: act.part };
}

function ofEntry(entry: Entry, stageIds: readonly string[]): PracticeEvent[] {
  const stage = stageIds.indexOf(entry.stageId ?? "");
  if (stage < 0) return [];
  if (isKind("move")(entry)) return [{ did: "move", stage, amount: entry.body.amount }];
  if (isKind("round")(entry))
    return [
      {
        ...{ did: "round", stage },
        readings: entry.readings.map(({ tooth, typed, struck }) => ({ place: tooth, shown: shownIn(typed), struck })),
      },
    ];
  if (isKind("proof")(entry) && entry.body.way === "powered") return [{ did: "power", stage }];
  if (isKind("suspect")(entry) && entry.body.state === "found")
    return [{ did: "found", stage, part: (entry.body.part && partOf(entry.body.part)) || null }];
  return [];
}

/** The figure of a reading as it was typed, whatever its unit. */
const shownIn = (typed: string): number => Number.parseFloat(typed.replace(",", "."));
