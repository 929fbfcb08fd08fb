import { expect, test } from "vitest";
import { apartOf } from "../../core/logbook";
import { buildPartWork, partWorkInput } from "./part-work";

const said = (work: string, more: object = {}) => {
  const input = partWorkInput.parse({ kind: "part-work", key: "hub", name: "Hub", work, ...more });
  const built = buildPartWork(input, apartOf([]));
  return built.ok ? built.value.body : `${built.refusal.code} ${built.refusal.path.join(".")}`;
};

test("no work without its check: a hub is bored only with its runout read before and after, a file in tries that are felt", () => {
  expect(said("bore", { after: "8" })).toBe("missing runoutBefore");
  expect(said("bore", { after: "8", runoutBefore: "0,12" })).toBe("missing runoutAfter");
  expect(said("bore", { after: "8", runoutBefore: "5 thou", runoutAfter: "0" })).toMatchObject({
    afterMm: 8,
    runoutBeforeMm: 0.127,
    runoutAfterMm: 0,
  });
  expect(said("drill", { after: "4,2" })).toBe("missing before");
  expect(said("ream")).toBe("missing felt");
  expect(said("file", { felt: "presses" })).toMatchObject({ felt: "presses", afterMm: null });
  expect(said("file a flat")).toBe("missing clocking");
});

test("what cannot have happened is refused at its field: a hole that shrank, a length that grew, words for a size", () => {
  expect(said("drill", { before: "4.2", after: "2.5" })).toBe("too-small after");
  expect(said("cut to length", { before: "40", after: "41" })).toBe("too-large after");
  expect(said("cut to length", { after: "a bit" })).toBe("not-a-number after");
  expect(said("bore", { after: "0", runoutBefore: "0.1", runoutAfter: "0.1" })).toBe("too-small after");
});
