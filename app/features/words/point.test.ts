import { expect, test } from "vitest";
import type { SignedRecord } from "~/core/logbook";
import { pointWords } from "./point";
import { readerOf } from "./reader";

const reader = readerOf();
const asLeft = (verdict: string) =>
  ({ quantity: "backlash", min: 0.17, max: 0.38, verdict }) as unknown as SignedRecord["asLeft"];

test.each([
  [{ code: "said", text: "Brass gear on order", left: null }, "Brass gear on order"],
  [{ code: "no-compound", text: "", left: null }, "No locking compound on the clamps yet"],
  [
    { code: "not-inside", text: "", left: { asLeft: asLeft("does-not-conform"), asLeftByFeel: undefined } },
    "Left outside: 0.17 to 0.38 mm",
  ],
  [
    { code: "not-inside", text: "", left: { asLeft: asLeft("undecided"), asLeftByFeel: undefined } },
    "Left near the edge: 0.17 to 0.38 mm",
  ],
  // A signature of an earlier release says no more than this.
  [{ code: "not-inside", text: "", left: null }, "Left outside its limits, near their edge, or felt at too few places"],
])("%j: %s", (point, words) => expect(pointWords(reader, point)).toBe(words));
