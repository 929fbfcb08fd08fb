import { expect, test } from "vitest";
import { safePath } from "./safe-path";

test.each([
  ["/jobs/1/set?round=check", "/jobs/1/set?round=check"],
  ["//elsewhere.example", "/"],
  ["/\\elsewhere.example", "/"],
  ["/\t/elsewhere.example", "/"],
  ["/\n//elsewhere.example", "/"],
  ["/.//elsewhere.example", "/"],
  ["/jobs/../..//elsewhere.example", "/"],
  ["https://elsewhere.example", "/"],
  ["javascript:alert(1)", "/"],
  ["", "/"],
  [null, "/"],
])("%s leads to %s", (to, path) => {
  expect(safePath(to)).toBe(path);
});
