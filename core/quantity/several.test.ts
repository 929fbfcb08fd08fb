import { expect, test } from "vitest";
import { severalQuantities } from "./several";

test.each([
  ["42.9 42.88 42.9", ["42.9", "42.88", "42.9"]],
  ["1.689 in", ["1.689 in"]],
  ["1.689in", ["1.689in"]],
  ["1.689 in 1.690 in", ["1.689 in", "1.690 in"]],
  ["1.689 1.690 in", ["1.689 in", "1.690 in"]],
  ["1 3/8 in", ["1 3/8 in"]],
  ["3/8 7/16 in", ["3/8 in", "7/16 in"]],
  ["8,00; 7,99", ["8,00", "7,99"]],
  ["5 thou 0.12 mm", ["5 thou", "0.12 mm"]],
  ["", []],
  ["0 -0.01 −0.02", ["0", "-0.01", "−0.02"]],
])("%j is %j", (typed, quantities) => expect(severalQuantities(typed)).toEqual(quantities));
