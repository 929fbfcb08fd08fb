import fc from "fast-check";
import { expect, test } from "vitest";
import { type BuildStep, binding } from "./suspect";

const on = (part: string): BuildStep => ({ did: "on", part });
const turned = (
  feel: "free" | "rough" | "stiff",
  way: "as built" | "alone" | "at that end only" | "half a turn back" = "as built",
): BuildStep => ({
  did: "turned",
  way,
  feel,
});

test("turned after every part, the last one added is named; before that nobody is", () => {
  expect(binding([on("shaft"), turned("free"), on("bearing")])).toBeNull();
  expect(binding([on("shaft"), turned("free"), on("bearing"), turned("stiff")])).toEqual({
    suspects: [{ part: "bearing", by: "part" }],
    next: { code: "alone" },
    wasFree: true,
  });
});

test("free alone and stiff when pushed home: fouled at that end; rough alone: the part itself", () => {
  const stiff = [on("shaft"), turned("free"), on("gear"), turned("stiff")];
  const next = (...steps: BuildStep[]) => binding([...stiff, ...steps])?.next.code;
  expect(next(turned("free", "alone"))).toBe("at that end only");
  expect(next(turned("free", "alone"), turned("stiff", "at that end only"))).toBe("fouled-there");
  expect(next(turned("rough", "alone"))).toBe("part-itself");
  expect(next(turned("free", "alone"), turned("free", "at that end only"), turned("stiff", "half a turn back"))).toBe(
    "look",
  );
});

test("free until its screws were tightened: they are slackened half a turn first, and pull it askew if that frees it", () => {
  const tight: BuildStep[] = [on("cover"), turned("free"), { did: "screws", part: "cover" }, turned("rough")];
  expect(binding(tight)).toMatchObject({
    suspects: [{ part: "cover", by: "screws" }],
    next: { code: "half a turn back" },
  });
  expect(binding([...tight, turned("free", "half a turn back")])?.next.code).toBe("screws-pull");
});

// A stand-in for the assembly: it binds exactly while the one bad part is on.
test("with one bad part, whoever does what is asked ends at it: it is always among the suspects, and each turn halves them", () => {
  const build = fc
    .array(fc.boolean(), { minLength: 1, maxLength: 24 })
    .chain((turns) => fc.record({ turns: fc.constant(turns), bad: fc.nat({ max: turns.length - 1 }) }));
  fc.assert(
    fc.property(build, ({ turns, bad }) => {
      const steps: BuildStep[] = [];
      const mounted = new Set<string>();
      const feel = () => turned(mounted.has(`part ${bad}`) ? "stiff" : "free");
      for (const [i, turn] of turns.entries()) {
        mounted.add(`part ${i}`);
        steps.push(on(`part ${i}`));
        if (turn && binding(steps) === null) steps.push(feel());
        if (binding(steps)) break;
      }
      steps.push(feel());
      let asked = 0;
      for (let found = binding(steps); found && found.suspects.length > 1; found = binding(steps)) {
        expect(found.suspects.map(({ part }) => part)).toContain(`part ${bad}`);
        expect(found.next.code).toBe("newer-half");
        const half = found.next.code === "newer-half" ? found.next.parts : [];
        for (const part of half) {
          mounted.delete(part);
          steps.push({ did: "off", part });
        }
        steps.push(feel());
        asked++;
        if (binding(steps)) continue;
        // Free again: it was one of those that came off. They go on one by one.
        for (const part of [...half].reverse()) {
          mounted.add(part);
          steps.push(on(part), feel());
          asked++;
          if (binding(steps)) break;
        }
      }
      if (mounted.has(`part ${bad}`)) expect(binding(steps)?.suspects).toEqual([{ part: `part ${bad}`, by: "part" }]);
      expect(asked).toBeLessThanOrEqual(turns.length + 6);
    }),
    { seed: 41, numRuns: 300 },
  );
});
