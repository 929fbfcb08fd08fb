import { expect, test } from "vitest";
import { helpFor } from "./help-words";

test.each([
  ["/", "Floor"],
  ["/jobs", "Jobs"],
  ["/jobs/0193-x/make-safe", "Make safe"],
  ["/jobs/0193-x/sign-off", "Sign off"],
  ["/at/0193-x", "Quick touch"],
  ["/machines/0193-x", "Machine"],
  ["/machines/new", "The machine’s fields"],
  ["/machines/0193-x/stages/new", "The stage’s fields"],
  ["/stages/0193-x", "Stage"],
  ["/stages/0193-x/limits", "The stage’s fields"],
  ["/stages/0193-x/swap", "Other gears"],
  ["/bench/gear-pair", "Bench"],
  ["/stores/instruments", "Stores"],
])("%s says what it is for, in two sentences", (path, title) => {
  const help = helpFor(path);
  expect(help.title).toBe(title);
  expect(help.text.match(/[.](\s|$)/g)).toHaveLength(2);
});
