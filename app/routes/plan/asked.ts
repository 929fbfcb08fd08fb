import { isId } from "~/app/session/is-id";
import type { PlanPlace } from "~/data/queries/plan";

/** What of the plan stands in the address. */
export type PlanAsked = {
  site: string | null;
  hall: string | null;
  mine: boolean;
  /** One machine alone; null: all. */
  machine: string | null;
  after: PlanPlace | null;
};

const day = /^\d{4}-\d\d-\d\d$/;
/** A word as somebody may have put it in an address. */
const word = (text: string | null): string | null => (text === null || text === "" ? null : text.slice(0, 60));

export function planAsked(search: URLSearchParams): PlanAsked {
  const machine = search.get("machine") ?? "";
  const [on, kind, key] = (search.get("after") ?? "").split(" ");
  return {
    site: word(search.get("site")),
    hall: word(search.get("hall")),
    mine: search.get("mine") === "yes",
    machine: isId(machine) ? machine : null,
    after:
      on && kind && key && day.test(on) && !Number.isNaN(Date.parse(on)) && kind.length < 20 && key.length < 40
        ? { on, kind, key }
        : null,
  };
}

/** The same as an address. */
export function planAddress({ site, hall, mine, machine, after }: PlanAsked): string {
  const search = new URLSearchParams();
  if (site !== null) search.set("site", site);
  if (hall !== null) search.set("hall", hall);
  if (mine) search.set("mine", "yes");
  if (machine) search.set("machine", machine);
  if (after) search.set("after", `${after.on} ${after.kind} ${after.key}`);
  const text = search.toString();
  return text === "" ? "?" : `?${text}`;
}
