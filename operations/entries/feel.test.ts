import { expect, test } from "vitest";
import { everyKind } from "~/tests/elements";
import { testStage } from "~/tests/stage";
import { buildFeel } from "./feel";

const felt = { kind: "feel" as const, phase: "check" as const, method: "by hand" as const };

test.each(everyKind.map((element) => [element.kind, element] as const))(
  "a %s is felt only if its mesh clicks",
  (kind, element) => {
    const base = testStage("s");
    const stage = { ...base, kind, geometry: { ...base.geometry, element } };
    const built = buildFeel({ ...felt, places: [{ tooth: 1, feel: "small click" }] }, stage);
    expect(built.ok).toBe(["gear-pair", "worm", "bevel"].includes(kind));
  },
);

test("an entry keeps how many places the turn has, so that anybody can judge it again", () => {
  const built = buildFeel({ ...felt, places: [{ tooth: 3, feel: "binds" }] }, testStage("s"));
  expect(built.ok && built.value).toMatchObject({
    of: 40,
    judged: { verdict: "outside", side: "tight", step: "apart" },
  });
});
