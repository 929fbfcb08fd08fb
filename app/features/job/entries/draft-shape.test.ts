import { expect, test } from "vitest";
import { draftBody } from "~/operations/draft-body";
import { isDraftBody } from "./draft-shape";
import { emptyDraft } from "./draft-store";

const reading = { tooth: 3, turn: 1, typed: "0,12", struck: false, repeats: null };
const draft = {
  ...emptyDraft(),
  rounds: { ...emptyDraft().rounds, set: { field: "0.1", at: 2, readings: [reading, { ...reading, repeats: 0 }] } },
  texts: { "method.unit": "mm" },
  savedAt: "2026-11-28T08:00:00.000Z",
};

test("a draft that the schema takes can be gone on with", () => {
  expect(draftBody.safeParse(draft).success).toBe(true);
  expect(isDraftBody(JSON.parse(JSON.stringify(draft)))).toBe(true);
  expect(isDraftBody(emptyDraft())).toBe(true);
});

/** Every place in the draft with something else put there, or nothing. */
function broken(value: unknown, path: string[] = []): { path: string; of: unknown }[] {
  const here = [null, 7.5, "x", [], {}].map((other) => ({ path: path.join("."), of: other }));
  if (typeof value !== "object" || value === null) return here;
  const keys = Object.keys(value);
  const within = keys.flatMap((key) => {
    const item = (value as Record<string, unknown>)[key];
    return broken(item, [...path, key]).map((change) => ({
      path: change.path,
      of: Array.isArray(value)
        ? value.map((old, i) => (String(i) === key ? change.of : old))
        : { ...value, [key]: change.of },
    }));
  });
  return [...here, ...within];
}

test("whatever the schema refuses for its shape is not gone on with, wherever it is broken", () => {
  const all = broken(draft);
  expect(all.length).toBeGreaterThan(100);
  // An odd time is a text all the same; the page only needs it to tell which draft is newer.
  const wrong = all.filter(({ path, of }) => path !== "savedAt" && isDraftBody(of) && !draftBody.safeParse(of).success);
  expect(wrong).toEqual([]);
});
