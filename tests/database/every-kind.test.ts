import { v7 } from "uuid";
import { beforeAll, describe, expect, test } from "vitest";
import { mustHold, parseQuantity, type Result } from "~/core/quantity";
import {
  frameOf,
  judgedBy,
  limitWays,
  type MeasuredQuantity,
  measuredUnit,
  placeCount,
  toJudged,
  waysToMeasure,
} from "~/core/stages";
import { driveLineOf } from "~/data/queries/drive-lines";
import { stageHistory } from "~/data/queries/entries";
import { floorGroups, wholeFloor } from "~/data/queries/floor";
import { insertInstrument } from "~/data/queries/instruments";
import { stageById } from "~/data/queries/stages";
import { standingsOfStages } from "~/data/queries/standings";
import { addStage } from "~/operations/add-stage";
import { reviseStage } from "~/operations/revise-stage";
import { saveDriveLine } from "~/operations/save-drive-line";
import type { InstrumentId } from "../../core/records";
import { everyKind } from "../elements";
import { freshWorks, stageInput } from "./fixture";

const works = freshWorks();
const refusalOf = (result: Result<unknown>) =>
  result.ok ? "accepted" : `${result.refusal.code} ${result.refusal.path.join(".")}`.trim();

const belt = {
  kind: "toothed-belt",
  pitchMm: 8,
  teeth: [24, 48],
  beltTeeth: 100,
  centreDistanceMm: 253,
  massKgPerM: 0.2,
} as const;
const chain = { kind: "chain", pitchMm: 12.7, teeth: [19, 38], links: 100, centreDistanceMm: 447 } as const;
const set = { kind: "simple", moduleMm: 1, planets: 3, sun: 18, planet: [18], ring: [54] } as const;
const gears = {
  kind: "gear-pair",
  pair: { teeth: [20, 40], moduleMm: 2, centreDistanceMm: 60.2 },
  gears: [{ name: "fast", teeth: [25, 35], profileShift: [0, 0] }],
} as const;

type Kinded = { kind: string } & Record<string, unknown>;

const limitsOf = {
  gap: { quantity: "gap", lo: 0.05, aim: null, hi: 0.2 },
  "toothed-belt": { quantity: "span-frequency", lo: 40, aim: null, hi: 60 },
  chain: { quantity: "sag", lo: 4, aim: null, hi: 12 },
  planetary: { quantity: "angular-backlash", lo: 2, aim: null, hi: 12 },
} as Record<string, object>;

/** A stage of any kind, judged by what is usual for it. */
const stageOf = (element: Kinded, name: string = element.kind) => {
  const input = stageInput(v7(), name);
  const limits = { ...input.limits, ...limitsOf[element.kind] };
  return { ...input, machineId: works.machineId, geometry: { ...input.geometry, element }, limits };
};
const add = (element: Kinded, name?: string) => addStage(works.as(), stageOf(element, name));

describe("what has no geometry is refused at its field, with the nearest that works", () => {
  test.each<[string, Kinded, string, object]>([
    [
      "planets that cannot be assembled",
      { kind: "planetary", set: { ...set, planets: 5 } },
      "planets-do-not-assemble geometry.element.planets",
      { nearest: expect.stringContaining("4 planets with 18, 18, 54 teeth") },
    ],
    [
      "planets that touch",
      { kind: "planetary", set: { ...set, planets: 10, sun: 20, planet: [10], ring: [40] } },
      "planets-touch geometry.element.planets",
      { nearest: expect.stringContaining("planets with") },
    ],
    [
      "a belt too short",
      { ...belt, beltTeeth: 90 },
      "belt-too-short geometry.element.beltTeeth",
      { least: 100, centreMm: expect.closeTo(213.8, 1) },
    ],
    [
      "a pulley the belt does not touch",
      { ...belt, idlers: [{ x: 120, y: 300, diameterMm: 30, side: "outside", strand: "upper" }] },
      "no-path geometry.element.idlers",
      { idler: 1 },
    ],
    ["a chain too short", { ...chain, links: 90 }, "chain-too-short geometry.element.links", { least: 100 }],
    [
      "sprockets in each other",
      { ...chain, centreDistanceMm: 90 },
      "circles-overlap geometry.element.centreDistanceMm",
      {},
    ],
    [
      "a switchable gear with one ratio",
      { ...gears, gears: [], gearName: "slow" },
      "one-gear-only geometry.element.gears",
      {},
    ],
    ["10^9 teeth", { ...belt, teeth: [24, 1e9] }, "too-large geometry.element.teeth.1", { most: 10_000 }],
  ])("%s", async (_, element, refusal, facts) => {
    const result = await add(element, "never");
    expect(refusalOf(result)).toBe(refusal);
    if (!result.ok) expect(result.refusal.facts).toMatchObject(facts);
  });

  test("what is only unwise goes in, and is recorded with the stage", async () => {
    const { stageId } = mustHold(await add({ ...chain, links: 101 }, "Odd chain"));
    const added = (await stageHistory(works.pool, stageId, 1)).at(-1);
    expect(added?.body).toMatchObject({ warnings: [{ code: "odd-links", even: 102 }] });
  });
});

test("a stage of which nobody knows the limits is kept and read without a verdict, and judged once somebody gives them", async () => {
  const gap = stageOf({ kind: "gap", what: "running-clearance", diameterMm: 40 }, "Bare");
  const { stageId } = mustHold(await addStage(works.as(), { ...gap, limits: null }));
  expect((await stageById(works.pool, stageId))?.limits).toBeNull();
  const jobId = await works.openJob([stageId]);
  const entry = mustHold(await works.entry(jobId, { ...works.round(["0.11"]), stageId }));
  expect(entry).toMatchObject({ limitsId: null, body: { result: { verdict: null, holds: null, min: 0.11 } } });
  const state = async () => (await standingsOfStages(works.pool, [stageId]))[0];
  expect(await state()).toMatchObject({ state: "unknown", result: { min: 0.11 } });
  // Read it was; the machine's other stage never.
  const soon = new Date();
  const day = soon.toISOString().slice(0, 10);
  const unread = async () => {
    const days = { today: day, dueUntil: day, soon, now: soon };
    return (await floorGroups(works.pool, works.lead.workshopId, days, wholeFloor)).reduce(
      (sum, of) => sum + of.unread,
      0,
    );
  };
  const before = await unread();
  await works.pool.query("update stage_standing set severity = 3 where stage_id <> $1", [stageId]);
  expect([before, await unread()]).toEqual([1, 0]);
  const limits = { ...limitsOf.gap, sourceKind: "house rule", source: "R" };
  const give = () =>
    reviseStage(works.as(), { what: "limits", stageId, entryId: v7(), revisionId: v7(), seenRevision: 0, limits });
  mustHold(await give());
  expect((await stageById(works.pool, stageId))?.limits).toMatchObject({ revision: 1, lo: 0.05, hi: 0.2 });
  expect(await state()).toMatchObject({ state: "inside" });
  expect(refusalOf(await give())).toBe("revised-meanwhile limits");
});

describe("the drive line", () => {
  const link = (stageId: string, from: string, onto: string | null = null) => ({ stageId, from, onto });
  const save = (links: object[], seenRevision = 0, person = works.lead) =>
    saveDriveLine(works.as(person), {
      entryId: v7(),
      revisionId: v7(),
      machineId: works.machineId,
      seenRevision,
      graph: { sources: [{ id: "source-1", name: "Motor", rpm: 1450, torqueNm: 10 }], links },
    });

  test("a loop, a shaft driven twice at different speeds, a stage twice, a gap: named; nothing is kept", async () => {
    const first = mustHold(await add(belt, "First")).stageId;
    const second = mustHold(await add({ ...belt, beltTeeth: 101, centreDistanceMm: 257 }, "Second")).stageId;
    const gap = mustHold(await add({ kind: "gap", what: "end-float", diameterMm: 40 }, "Float"));
    const loop = await save([link(first, second), link(second, first)]);
    expect(loop).toMatchObject({ refusal: { code: "train-loops", facts: { name: "First" } } });
    const twice = await save([link(works.stageId, "source-1"), link(first, "source-1", works.stageId)]);
    expect(twice).toMatchObject({ refusal: { code: "driven-twice", facts: { name: "First", fits: -2, is: 2 } } });
    expect(refusalOf(await save([link(first, "source-1"), link(first, "source-1")]))).toBe(
      "stage-twice graph.links.1.stageId",
    );
    expect(refusalOf(await save([link(gap.stageId, "source-1")]))).toBe("drives-nothing graph.links.0.stageId");
    expect(refusalOf(await save([link(first, "source-2")]))).toBe("no-such-shaft graph.links.0.from");
    expect(await driveLineOf(works.pool, works.machineId)).toBeNull();

    const technician = await works.addPerson("technician");
    expect(refusalOf(await save([link(first, "source-1")], 0, technician))).toBe("role");
    mustHold(await save([link(first, "source-1"), link(second, first)]));
    expect(refusalOf(await save([link(first, "source-1")]))).toBe("revised-meanwhile graph");
    expect((await driveLineOf(works.pool, works.machineId))?.graph.links).toHaveLength(2);
  });
});

describe("read beside what a stage is judged by", () => {
  const side = (typed: string[], more: object = {}) => ({
    kind: "side",
    quantity: "elongation",
    instrumentId: works.instrumentId,
    typed,
    ...more,
  });

  test("nothing is not too little, and a swing below nothing is a mistake", async () => {
    const limits = (quantity: string, lo: number | null, hi: number) => ({
      id: v7(),
      quantity,
      lo,
      hi,
      sourceKind: "house rule",
      source: "H",
    });
    const { stageId } = mustHold(
      await addStage(works.as(), {
        ...stageOf(belt, "Aligned belt"),
        sideLimits: [limits("runout", 0, 0.1), limits("offset", null, 0.5)],
      }),
    );
    const job = await works.openJob([stageId]);
    const read = async (quantity: string, ...typed: string[]) =>
      works.entry(job, { stageId, ...side(typed, { quantity }) });
    expect(mustHold(await read("runout", "0")).body).toMatchObject({ verdict: "conforms" });
    expect(mustHold(await read("offset", "-0.3", "0.2")).body).toMatchObject({
      min: 0.2,
      max: 0.3,
      verdict: "conforms",
    });
    expect(mustHold(await read("offset", "-0.6", "0.2")).body).toMatchObject({ verdict: "does-not-conform" });
    expect(refusalOf(await read("runout", "-0.02"))).toBe("below-nothing typed.0");
  });

  test("an elongation is worked out over the pitches counted and judged by its own limits", async () => {
    const input = {
      ...stageOf(chain, "Feeder chain"),
      sideLimits: [
        {
          id: v7(),
          quantity: "elongation",
          lo: null,
          hi: 2,
          sourceKind: "standard",
          source: "2 % of the pitch",
        },
      ],
    };
    const { stageId } = mustHold(await addStage(works.as(), input));
    const job = await works.openJob([stageId]);
    const entry = mustHold(await works.entry(job, { stageId, ...side(["206.0", "205.8"], { held: 16 }) }));
    expect(entry.body).toMatchObject({ verdict: "conforms", max: expect.closeTo(100 * (206 / 203.2 - 1), 6) });
    const worn = mustHold(await works.entry(job, { stageId, ...side(["8.2 in"], { held: 16 }) }));
    expect(worn.body).toMatchObject({ verdict: "does-not-conform", max: expect.closeTo(2.5, 6) });
    expect(refusalOf(await works.entry(job, { stageId, ...side(["206 N"]) }))).toBe("wrong-dimension typed.0");
    expect(refusalOf(await works.entry(job, { stageId, ...side(["0.1"], { quantity: "end-float" }) }))).toBe(
      "not-of-this-kind quantity",
    );
  });
});

describe("an angle between the wheels", () => {
  // A protractor of 5′ and ±3′ (k = 2) is good to 2·√((5/√6)² + 1.5²) = 5.07′, a twelfth of a degree.
  test("is kept in degrees, and its uncertainty with it, though the instrument's figures are minutes of arc", async () => {
    const protractor = v7() as InstrumentId;
    await insertInstrument(works.pool, works.lead.workshopId, {
      id: protractor,
      name: "Protractor",
      kind: "protractor",
      dimension: "angle",
      resolution: 5,
      expandedUncertainty: 3,
      coverage: 2,
      leavesMm: [],
    });
    const limits = { id: v7(), quantity: "angle", lo: null, hi: 0.25, sourceKind: "standard", source: "S" };
    const { stageId } = mustHold(
      await addStage(works.as(), { ...stageOf(belt, "Slanted belt"), sideLimits: [limits] }),
    );
    const job = await works.openJob([stageId]);
    const read = async (typed: string) => {
      const work = { kind: "side", quantity: "angle", instrumentId: protractor, typed: [typed] };
      return mustHold(await works.entry(job, { stageId, ...work })).body;
    };
    const expandedUncertainty = expect.closeTo((2 * Math.hypot(5 / Math.sqrt(6), 1.5)) / 60, 9);
    expect(await read("0.1")).toMatchObject({ max: 0.1, verdict: "conforms", expandedUncertainty });
    expect(await read("15'")).toMatchObject({ max: expect.closeTo(0.25, 9), verdict: "undecided" });
    expect(await read("0.4")).toMatchObject({ verdict: "does-not-conform" });
    // Off to the other side it is off as far.
    expect(await read("-0.4")).toMatchObject({ max: 0.4, verdict: "does-not-conform" });
  });
});

test("a switchable gear is read in the gear that is in, at that gear's own pitch circle; one that is not there is refused", async () => {
  const { stageId } = mustHold(await add({ ...gears, gearName: "slow" }, "Gearbox"));
  const job = await works.openJob([stageId]);
  const round = (gear: string) => {
    const input = works.round(["0.15", "0.16", "0.17"]);
    const method = { ...(input.method as object), indicatorRadiusMm: 50, gear };
    return works.entry(job, { ...input, stageId, method });
  };
  // Working circles of 20:40 and 25:35 at 60.2 mm: the gear's radius is 40.13 and 35.12 mm; the tip stands at 50.
  const slow = mustHold(await round("slow"));
  expect(slow.readings[0]?.value).toBeCloseTo((0.15 * ((60.2 * 40) / 60)) / 50, 9);
  const fast = mustHold(await round("fast"));
  expect(fast.readings[0]?.value).toBeCloseTo((0.15 * ((60.2 * 35) / 60)) / 50, 9);
  expect(fast.body).toMatchObject({ result: { gear: "fast" } });
  expect(refusalOf(await round("reverse"))).toBe("no-such-gear method.gear");
});

test("a move on one stage is noted on those that its adjuster moves along, and they have to be read again", async () => {
  const along = mustHold(await add(belt, "Motor belt")).stageId;
  const carrier = stageOf(gears, "Motor gears");
  const { stageId } = mustHold(
    await addStage(works.as(), {
      ...carrier,
      adjuster: { ...carrier.adjuster, alsoMoves: [{ stageId: along, perMm: 1 }] },
    }),
  );
  const job = await works.openJob([stageId]);
  const move = mustHold(
    await works.entry(job, { kind: "move", stageId, amount: 0.1, did: "so", advised: null, reasons: [], note: "" }),
  );
  const noted = (await stageHistory(works.pool, along, 1)).at(-1);
  expect(noted).toMatchObject({ seq: move.seq + 1, jobId: job, body: { what: "moved-along" } });
});

describe("a round of every kind", () => {
  /** What a technician would type, in the unit and way in which it is read. */
  const typedOf: Partial<Record<MeasuredQuantity, [instrument: string, typed: string[]]>> = {
    "circumferential-backlash": ["length", ["0.15", "0,16", "6 thou", "0.17"]],
    "normal-backlash": ["length", ["0.14", "0.15", "0.15"]],
    "angular-backlash": ["angle", ["12", "12.5", "13", "12"]],
    "span-frequency": ["frequency", ["62", "61,5 Hz", "62"]],
    "span-force": ["force", ["12", "12.5 N", "1.2 kgf", "12", "11.9", "12.2"]],
    "span-deflection": ["length", ["4.1", "4,2", "4.1", "4.2", "4", "4.1"]],
    tension: ["force", ["200", "210", "205", "201", "209", "200"]],
    sag: ["length", ["12", "11.5"]],
    elongation: ["length", ["255", "255.2"]],
    gap: ["length", ["0.12", "0.13", "0.12"]],
  };
  const instruments = new Map<string, string>();
  beforeAll(async () => {
    for (const dimension of ["angle", "frequency", "force"] as const) {
      const id = v7() as InstrumentId;
      instruments.set(dimension, id);
      await insertInstrument(works.pool, works.lead.workshopId, {
        id,
        name: `Instrument for ${dimension}`,
        kind: "meter",
        dimension,
        resolution: 0.1,
        expandedUncertainty: 0.2,
        coverage: 2,
        leavesMm: [],
      });
    }
  });
  const cases = everyKind.flatMap((element, i) =>
    waysToMeasure(element).flatMap((quantity) => {
      const typed = typedOf[quantity];
      return typed ? [[`${i} ${element.kind}`, quantity, element, ...typed] as const] : [];
    }),
  );

  test.each(cases)(
    "%s by %s: kept as typed, in the quantity judged, with its standing",
    async (name, quantity, element, dimension, typed) => {
      const input = stageOf(element as Kinded, `${name} ${quantity}`);
      const judged = judgedBy(element);
      const limits = { ...input.limits, quantity: limitWays(element)[0], lo: 0.01, hi: 1e6 };
      const { stageId } = mustHold(await addStage(works.as(), { ...input, limits }));
      const job = await works.openJob([stageId]);
      const frame = frameOf(element);
      const held =
        quantity === "elongation" ? 20 : quantity === "span-force" ? 5 : quantity === "span-deflection" ? 10 : null;
      const instrumentId = instruments.get(dimension) ?? works.instrumentId;
      const entry = mustHold(
        await works.entry(job, {
          stageId,
          kind: "round",
          phase: "as-found",
          method: {
            quantity,
            held,
            instrumentId,
            indicatorRadiusMm: null,
            indicatorAngleDeg: 0,
            temperatureC: null,
            sense: "clockwise",
          },
          readings: typed
            .slice(0, placeCount(frame))
            .map((text, i) => ({ tooth: i + 1, turn: 1, typed: text, struck: false, repeats: null })),
        }),
      );
      const { convert } = mustHold(
        toJudged(element, { quantity, held, indicatorRadiusMm: null, indicatorAngleDeg: 0 }),
      );
      const unit = measuredUnit[quantity];
      const first = mustHold(parseQuantity(typed[0] ?? "", unit.dimension, unit.bare)).value * unit.factor;
      expect(entry.readings[0]?.value).toBeCloseTo(convert(first), 9);
      expect(entry.readings.map((reading) => reading.typed)).toEqual(typed.slice(0, placeCount(frame)));
      expect(entry.body).toMatchObject({ result: { quantity: judged, count: entry.readings.length } });
      const [standing] = await standingsOfStages(works.pool, [stageId]);
      expect(standing?.result?.max).toBeCloseTo(Math.max(...entry.readings.map(({ value }) => value)), 9);
    },
  );
});
