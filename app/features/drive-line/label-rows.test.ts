import fc from "fast-check";
import { expect, test } from "vitest";
import { labelRows } from "./label-rows";

test("no two names of a row lie over one another, no leader runs through a name, and none is lost", () => {
  const label = fc.record({
    x: fc.double({ min: 0, max: 800, noNaN: true }),
    text: fc.string({ minLength: 1, maxLength: 16 }),
  });
  fc.assert(
    fc.property(fc.array(label, { maxLength: 14 }), (list) => {
      const placed = labelRows(list.map((item, i) => ({ ...item, id: String(i) })));
      expect(placed).toHaveLength(list.length);
      for (const a of placed)
        for (const b of placed) {
          if (a.id === b.id) continue;
          if (a.row === b.row) expect(a.end < b.x || b.end < a.x).toBe(true);
          if (b.row > a.row) expect(b.x <= a.x || b.x > a.end).toBe(true);
        }
    }),
    { seed: 4, numRuns: 200 },
  );
});
