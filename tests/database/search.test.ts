import { v7 } from "uuid";
import { beforeAll, expect, test } from "vitest";
import type { Person } from "~/core/records";
import { foundPage, type Sought, wordsSought } from "~/data/queries/search";
import { freshWorks } from "./fixture";

const works = freshWorks();
const anything: Sought = { words: "", kinds: null, part: "", personId: null, from: null, to: null };
const found = async (sought: Partial<Sought>, zone = "Europe/London") =>
  (await foundPage(works.pool, works.lead.workshopId, zone, { ...anything, ...sought }, null, 50)).map(({ body }) =>
    String((body as { text?: string }).text ?? "other"),
  );
let other: Person;

beforeAll(async () => {
  other = await works.addPerson("technician");
  const job = await works.openJob();
  const note = (text: string, madeAt: string, person = works.lead) =>
    import("~/operations/record-entry").then(({ recordEntry }) =>
      recordEntry(works.as(person), { id: v7(), jobId: job, stageId: works.stageId, kind: "note", text, madeAt }),
    );
  await note("Stalled at 210°, cable snagged", "2026-07-01T22:30:00.000Z");
  await note("Knocks once a turn; 8 kg up", "2026-07-02T09:00:00.000Z", other);
  await note("Knocking gone", "2026-07-03T09:00:00.000Z");
});

test("by every word from its beginning, by part, person, kind and day, newest first", async () => {
  expect(await found({ words: "knock" })).toEqual(["Knocking gone", "Knocks once a turn; 8 kg up"]);
  expect(await found({ words: "KNOCK turn" })).toEqual(["Knocks once a turn; 8 kg up"]);
  expect(await found({ words: "knock stall" })).toEqual([]);
  expect(await found({ words: "knock", personId: other.id })).toEqual(["Knocks once a turn; 8 kg up"]);
  expect(await found({ kinds: ["note"] })).toHaveLength(3);
  expect(await found({ kinds: ["note"], part: "drive" })).toHaveLength(3);
  expect(await found({ kinds: ["note"], part: "t-1" })).toHaveLength(3);
  expect(await found({ kinds: ["note"], part: "100%" })).toEqual([]);
});

test("a day is one of the workshop's: half past ten at night in universal time is the next day in London's summer", async () => {
  expect(await found({ kinds: ["note"], from: "2026-07-02", to: "2026-07-02" })).toEqual([
    "Knocks once a turn; 8 kg up",
  ]);
  expect(await found({ kinds: ["note"], from: "2026-07-01", to: "2026-07-01" })).toEqual([
    "Stalled at 210°, cable snagged",
  ]);
  expect(await found({ kinds: ["note"], to: "2026-07-01" }, "Europe/Helsinki")).toEqual([]);
});

test("signs that mean something to a search mean nothing in words, and pages go on where the last one ended", async () => {
  for (const words of ["knock & | ! ( :*", "'; drop table entry; --", "knock:A", "\\", "<->"])
    expect(Array.isArray(await found({ words }))).toBe(true);
  expect(wordsSought("'; DROP! Ünsauber 8.8 --")).toBe("drop:* & ünsauber:* & 8:* & 8:*");
  const sought = { ...anything, kinds: ["note" as const] };
  const page = (before: { at: string; id: string } | null) =>
    foundPage(works.pool, works.lead.workshopId, "UTC", sought, before, 2);
  const first = await page(null);
  const last = first[1];
  const rest = await page(last ? { at: last.madeAt, id: last.id } : null);
  expect(first).toHaveLength(2);
  expect(rest.map(({ id }) => first.some((one) => one.id === id))).toEqual([false]);
  // A page that the newest fill, and the last one, which the index of words has to fill, are of one order.
  const inOnes: string[] = [];
  for (let before: { at: string; id: string } | null = null; ; ) {
    const [one] = await foundPage(works.pool, works.lead.workshopId, "UTC", { ...anything, words: "knock" }, before, 1);
    if (!one) break;
    inOnes.push((one.body as { text: string }).text);
    before = { at: one.madeAt, id: one.id };
  }
  expect(inOnes).toEqual(await found({ words: "knock" }));
});
