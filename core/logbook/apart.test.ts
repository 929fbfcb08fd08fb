import { expect, test } from "vitest";
import { testStage } from "../../tests/stage";
import { apartOf } from "./apart";
import type { Entry } from "./entry";
import { jobRecord } from "./job-record";

let seq = 0;
const entry = (kind: Entry["kind"], body: object): Entry =>
  ({ id: `e${++seq}`, seq, kind, body, readings: [], namesEntry: null, stageId: "s" }) as unknown as Entry;
const m4 = { size: "M4", lengthMm: 12, count: 6, washers: 6, where: "" };
const off = (key: string, screws: object[] | null = [m4], more: object = {}) =>
  entry("part-off", { part: { key, name: key }, screws, conditions: [], spacers: [], fate: null, ...more });
const on = (key: string, back: object = { in: 6, washersIn: 6 }, state: string | null = "started") =>
  entry("part-on", { part: { key, name: key }, screws: [{ ...m4, ...back }], state });
const tight = (key: string, state: string, back: object = { in: 6, washersIn: 6 }) =>
  entry("part-screws", { part: { key, name: key }, screws: [{ ...m4, ...back }], state });

test("read backwards, what came off last goes on first", () => {
  const apart = apartOf([off("cover"), off("bearing"), off("gear")]);
  expect(apart.off.map(({ name }) => name)).toEqual(["gear", "bearing", "cover"]);
  expect(apart.account).toEqual({
    parts: { out: 3, back: 0 },
    screws: { out: 18, back: 0 },
    washers: { out: 18, back: 0 },
  });
});

test("everything is counted until it closes: missing, over, loose, and what nobody counted", () => {
  const short = apartOf([off("cover"), on("cover", { in: 5, washersIn: 7 })]);
  expect(short.missing).toEqual([{ part: { key: "cover", name: "cover" }, what: "M4 × 12", pieces: 1 }]);
  expect(short.over).toEqual([{ part: { key: "cover", name: "cover" }, what: "washer of M4 × 12", pieces: 1 }]);
  expect(short.slack.map(({ name }) => name)).toEqual(["cover"]);
  const closed = apartOf([off("cover"), on("cover", { in: 5, washersIn: 6 }), tight("cover", "firm")]);
  expect([closed.missing, closed.over, closed.slack, closed.off]).toEqual([[], [], [], []]);
  expect(apartOf([off("cover", null)]).uncounted.map(({ name }) => name)).toEqual(["cover"]);
});

test("a part taken off again counts by its last time", () => {
  const again = apartOf([off("cover"), on("cover"), off("cover", [{ ...m4, count: 4, washers: 0 }])]);
  expect(again.account.screws).toEqual({ out: 4, back: 0 });
  expect(again.off).toHaveLength(1);
});

test("what does not close is provisional on every stage of the job, before it is signed", () => {
  const codes = (...entries: Entry[]) =>
    jobRecord(entries, testStage("s")).provisional.filter((code) => /part|screw|turn/.test(code));
  expect(codes(off("cover"), off("gear"), on("cover", { in: 5, washersIn: 6 }))).toEqual([
    "parts-off",
    "screws-missing",
    "part-screws-slack",
  ]);
  const stiff = entry("turned", { way: "as built", feel: "stiff", after: null, suspects: [], found: [], did: [] });
  expect(codes(off("cover"), on("cover"), tight("cover", "firm"), stiff)).toEqual(["turns-hard"]);
});
