import { expect, test } from "vitest";
import { upkeepList } from "../greasing/schema";
import { isoToDays } from "./days";
import type { Entry } from "./entry";
import { firstDue, upkeepDue } from "./upkeep-due";

const entry = (kind: Entry["kind"], madeAt: string, body: object): Entry =>
  ({ kind, madeAt, body }) as unknown as Entry;
const greased = (madeAt: string, ...ids: string[]) => entry("greased", madeAt, { points: ids.map((id) => ({ id })) });
const day = isoToDays;
// Ten hours a day.
const meter = [
  { day: day("2026-01-01T00:00:00Z"), total: 1000 },
  { day: day("2026-04-11T00:00:00Z"), total: 2000 },
];
const place = (more: object) => upkeepList.parse({ grease: [{ id: "a", name: "A", ...more }] });
const dueOf = (more: object, entries: Entry[], now = "2026-04-11T00:00:00Z", by = meter) =>
  upkeepDue(place(more), entries, by, now)[0];

test("by the meter, shortened by dirt, and beyond its last reading at the rate so far", () => {
  const done = [greased("2026-03-12T00:00:00Z", "a")];
  // 30 days of ten hours since: 300 of 700 are used.
  expect(dueOf({ intervalUsage: 1000, dirt: "dusty" }, done)?.dueInDays).toBeCloseTo(40);
  expect(dueOf({ intervalUsage: 1000, dirt: "dusty" }, done, "2026-05-11T00:00:00Z")?.dueInDays).toBeCloseTo(10);
});

test("days beside the meter: whichever comes first", () => {
  const done = [greased("2026-03-12T00:00:00Z", "a")];
  expect(dueOf({ intervalUsage: 1000, intervalDays: 35 }, done)).toMatchObject({ dueInDays: 5, by: "days" });
  expect(dueOf({ intervalUsage: 350, intervalDays: 365 }, done)?.by).toBe("usage");
});

test("what is not known is said, and never taken for due or for done", () => {
  expect(dueOf({ intervalUsage: 500 }, [])).toMatchObject({ dueInDays: null, unknown: "never" });
  expect(dueOf({}, [greased("2026-03-12T00:00:00Z", "a")])).toMatchObject({ dueInDays: null, unknown: "no-interval" });
  const noRate = dueOf({ intervalUsage: 500 }, [greased("2026-03-12T00:00:00Z", "a")], undefined, []);
  expect(noRate).toMatchObject({ dueInDays: null, unknown: "no-meter" });
  expect(firstDue([noRate ?? ({} as never)])).toBeNull();
});

test("a place that is to be kept dry is never due; a look is due by its days alone", () => {
  const list = upkeepList.parse({
    grease: [{ id: "a", name: "Belt", mark: "keep-dry", intervalDays: 1 }],
    looks: [{ id: "l", name: "Cord", everyDays: 30 }],
  });
  const looked = entry("looked", "2026-04-01T00:00:00Z", { items: [{ id: "l", found: "fine" }] });
  const due = upkeepDue(list, [looked], [], "2026-04-11T00:00:00Z");
  expect(due).toMatchObject([{ id: "l", what: "look", dueInDays: 20 }]);
  expect(firstDue(due)?.name).toBe("Cord");
});
