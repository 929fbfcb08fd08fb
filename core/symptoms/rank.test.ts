import fc from "fast-check";
import { expect, test } from "vitest";
import { knockingCase, seededRandom } from "../practice";
import { tappedRate } from "../proving";
import { linePeriods } from "../stages";
import { mainsHum } from "./mains-hum";
import { type OwnRule, ofOwnRule } from "./own-rule";
import { rankSuspects, type Symptom } from "./rank";
import { causeRules } from "./rules";
import { causeCodes } from "./vocabulary";

const unsaid: Symptom["when"] = { direction: null, load: null, warmth: null, place: null, speed: null };
const symptom = (more: Partial<Symptom>): Symptom => ({ kinds: [], when: unsaid, heard: null, ...more });
const pair = [{ id: "a", kind: "gear-pair" as const }];
const periods = [
  { stageId: "a", gear: null, part: "driver-turn" as const, perMinute: 90 },
  { stageId: "a", gear: null, part: "driven-turn" as const, perMinute: 30 },
  { stageId: "a", gear: null, part: "tooth" as const, perMinute: 1800 },
];
const first = (of: Symptom) => rankSuspects(of, pair, periods)[0];

test("lines turned tooth by tooth and tapped by a hand: the part at fault is among the first three", () => {
  const random = seededRandom(17);
  const found = Array.from({ length: 200 }, () => {
    const { kept, stages, taps, cause } = knockingCase(random);
    const rate = tappedRate(taps);
    if (!rate.ok) return false;
    const suspects = rankSuspects(symptom({ kinds: ["knock"], heard: rate.value }), stages, linePeriods(kept, stages));
    return suspects.slice(0, 3).some(({ stageId, part }) => stageId === cause.stageId && part === cause.part);
  });
  expect(found.filter(Boolean).length / found.length).toBeGreaterThan(0.95);
});

test("a knock once a wheel turn is the wheel, with the tooth before the runout; what speaks for and against stands beside it", () => {
  const suspect = first(symptom({ kinds: ["knock"], heard: { perMinute: 30.2, toleranceShare: 0.03 } }));
  expect(suspect).toMatchObject({ part: "driven-turn", perMinute: 30 });
  expect(suspect?.causes[0]).toMatchObject({ code: "tooth-damaged", test: "mark-and-watch" });
  expect(suspect?.causes[0]?.speaksFor.map(({ code }) => code)).toEqual(["comes-as-often", "shows-so"]);
  const pinion = rankSuspects(
    symptom({ kinds: ["knock"], heard: { perMinute: 30.2, toleranceShare: 0.03 } }),
    pair,
    periods,
  ).find(({ part }) => part === "driver-turn");
  expect(pinion?.causes[0]?.against).toContainEqual({ code: "comes-otherwise", perMinute: 90 });
});

test("a fan beside the drive is suspected of its own rate only, and a second timing at another speed tells it from a wheel as fast", () => {
  const fan = [{ id: "beside-0", name: "Extractor fan", perMinute: 90 }];
  const keys = (of: Symptom) => rankSuspects(of, pair, periods, causeRules, [], fan).map(({ key }) => key);
  const [wheel, beside] = ["a  driver-turn", "beside beside-0 Extractor fan "];
  const hum = { kinds: ["hum" as const], heard: { perMinute: 90.5, toleranceShare: 0.02 } };
  expect(keys(symptom({ ...hum, twice: "stays" }))[0]).toBe(beside);
  const goes = keys(symptom({ ...hum, twice: "goes-with-it" }));
  expect(goes[0]).toBe(wheel);
  expect(goes.indexOf(beside as string)).toBeGreaterThan(0);
  expect(keys(symptom({ kinds: ["hum"], heard: { perMinute: 61, toleranceShare: 0.02 } }))[0]).not.toBe(beside);
  // Its two blades come by twice a turn.
  expect(keys(symptom({ kinds: ["hum"], heard: { perMinute: 180, toleranceShare: 0.02 }, twice: "stays" }))[0]).toBe(
    beside,
  );
});

test("a clunk at reversal without a rhythm is play of the mesh, not a tooth", () => {
  const suspect = first(symptom({ kinds: ["clunk"], when: { ...unsaid, direction: "at-reversal" } }));
  expect(suspect?.causes[0]?.code).toBe("mesh-loose");
});

test("with nothing said every cause that the stage can have is still there, and none is of another kind", () => {
  fc.assert(
    fc.property(fc.constantFrom("gear-pair", "worm", "toothed-belt", "chain", "coupling", "gap" as const), (kind) => {
      const all = rankSuspects(symptom({}), [{ id: "a", kind }], periods).flatMap(({ causes }) => causes);
      expect(all.every(({ score }) => score <= 0 && score > -1)).toBe(true);
      for (const { code } of all)
        expect(causeRules.find((rule) => rule.code === code)?.kinds ?? [kind]).toContain(kind);
    }),
  );
  expect(new Set(causeRules.map(({ code }) => code))).toEqual(
    new Set(causeCodes.filter((code) => code !== "own-rule" && code !== "runs-beside")),
  );
});

const pin: OwnRule = {
  ...{ id: "r", says: "Pin of the tensioner worn", kinds: ["gear-pair"], parts: ["driven-turn"], shows: ["squeal"] },
  ...{
    speaksFor: ["warm"],
    against: ["cold"],
    test: "hold-and-rock",
    source: "Job of May",
    madeByName: "P",
    madeAt: "",
  },
};

test("a rule of the house is ranked as any other, says its own words, and only on its kinds", () => {
  const said = symptom({
    ...{ kinds: ["squeal"], when: { ...unsaid, warmth: "warm" } },
    heard: { perMinute: 30, toleranceShare: 0.03 },
  });
  const rules = [...causeRules, ofOwnRule(pin)];
  const suspect = rankSuspects(said, pair, periods, rules)[0];
  expect(suspect).toMatchObject({ part: "driven-turn" });
  expect(suspect?.causes[0]).toMatchObject({
    code: "own-rule",
    own: { says: "Pin of the tensioner worn" },
    test: "hold-and-rock",
  });
  expect(suspect?.causes[0]?.speaksFor.map(({ code }) => code)).toEqual(["comes-as-often", "shows-so", "when"]);
  const elsewhere = rankSuspects(said, [{ id: "a", kind: "chain" }], periods, rules);
  expect(elsewhere.some(({ causes }) => causes.some(({ code }) => code === "own-rule"))).toBe(false);
  const anywhere = rankSuspects(said, [{ id: "a", kind: "chain" }], periods, [ofOwnRule({ ...pin, kinds: [] })]);
  expect(anywhere[0]?.causes[0]?.own?.says).toBe("Pin of the tensioner worn");
});

test("what was found here before comes before its equals, but not before what was timed", () => {
  const before = [{ key: "a  driver-turn", cause: "set-screw-loose" as const }];
  const rank = (of: Symptom) => rankSuspects(of, pair, periods, causeRules, before)[0];
  const untimed = rank(symptom({ kinds: ["clunk"] }));
  expect(untimed).toMatchObject({ part: "driver-turn" });
  expect(untimed?.causes[0]?.speaksFor).toContainEqual({ code: "found-before", times: 1 });
  expect(rank(symptom({ kinds: ["clunk"], heard: { perMinute: 30, toleranceShare: 0.02 } }))?.part).toBe("driven-turn");
});

test("twice the mains is told from the drive, within what the timing is good for", () => {
  expect(mainsHum({ perMinute: 6030, toleranceShare: 0.01 })).toBe(50);
  expect(mainsHum({ perMinute: 7200, toleranceShare: 0.001 })).toBe(60);
  expect(mainsHum({ perMinute: 6100, toleranceShare: 0.01 })).toBeNull();
  expect(mainsHum(null)).toBeNull();
});
