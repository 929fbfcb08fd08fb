import { v7 } from "uuid";
import { describe, expect, test } from "vitest";
import { mustHold, type Result } from "~/core/quantity";
import { everyInstrument } from "~/data/queries/instruments";
import { everyItem, itemById, movementsOfItem } from "~/data/queries/store";
import { addStage } from "~/operations/add-stage";
import { countersignJob } from "~/operations/countersign-job";
import { keepCertificate, keepInstrument } from "~/operations/instruments";
import { importSheet, type SheetReport, sheets, sheetText } from "~/operations/sheets";
import { keepItem, moveStock } from "~/operations/stores";
import type { WorkshopId } from "../../core/records";
import { freshWorks, stageInput } from "./fixture";

const works = freshWorks();
const refusal = (result: Result<unknown>) =>
  result.ok ? "taken" : `${result.refusal.code} ${result.refusal.path.join(".")}`.trim();

let names = 0;
const shim = (more: object = {}) => ({
  id: v7(),
  movementId: v7(),
  kind: "shim",
  name: `Shim ${names++}`,
  nominalMm: 0.1,
  count: 1,
  ...more,
});
const kept = async (more: object = {}) => mustHold(await keepItem(works.as(), shim(more))).id;
const take = (itemId: string, change = -1, id = v7(), by = works.lead) =>
  moveStock(works.as(by), { id, itemId, change, why: "test" });

describe("drawers", () => {
  test("of two who take the last one, one gets it and the other is told; a taking sent twice is one", async () => {
    const id = await kept();
    const both = await Promise.all([take(id), take(id)]);
    expect(both.map(refusal).sort()).toEqual(["none-left change", "taken"]);
    expect(await itemById(works.pool, works.lead.workshopId, id)).toMatchObject({ count: 0 });
    const again = v7();
    expect((await take(id, 3, again)).ok && (await take(id, 3, again)).ok).toBe(true);
    const movements = await movementsOfItem(works.pool, id, 10);
    expect(movements.map(({ change, countAfter }) => [change, countAfter])).toEqual([
      [3, 3],
      [-1, 0],
      [1, 1],
    ]);
  });

  test("technicians take, leads enter, readers look; nobody takes from another workshop", async () => {
    const id = await kept({ count: 5 });
    const technician = await works.addPerson("technician");
    const reader = await works.addPerson("reader");
    expect(refusal(await take(id, -1, v7(), technician))).toBe("taken");
    expect(refusal(await keepItem(works.as(technician), shim()))).toBe("role");
    expect(refusal(await take(id, -1, v7(), reader))).toBe("role");
    expect(refusal(await take(id, -1, v7(), { ...works.lead, workshopId: v7() as WorkshopId }))).toBe(
      "no-such-item itemId",
    );
  });

  test("what makes no sense is refused at its field", async () => {
    const named = await kept({ name: "Twice" });
    expect(named).toBeTruthy();
    const cases: [object, string][] = [
      [{ nominalMm: null }, "missing nominalMm"],
      [{ nominalMm: 0 }, "too-small nominalMm"],
      [{ count: -1 }, "too-small count"],
      [{ kind: "gear", nominalMm: null, figures: { links: 3 } }, "not-of-this-kind figures.links"],
      [{ name: "twice" }, "item-name-taken name"],
      [{ kind: "hammer" }, "not-understood kind"],
    ];
    for (const [more, code] of cases) expect(refusal(await keepItem(works.as(), shim(more)))).toBe(code);
    expect(refusal(await take(named, 0))).toBe("no-pieces change");
    expect(refusal(await take(named, -2))).toBe("none-left change");
  });

  test("a count taken by eye logs the difference, and nothing where it was right", async () => {
    const first = shim({ count: 7 });
    mustHold(await keepItem(works.as(), first));
    for (const count of [7, 4]) mustHold(await keepItem(works.as(), { ...first, movementId: v7(), count }));
    const movements = await movementsOfItem(works.pool, first.id, 10);
    expect(movements.map(({ change, why }) => [change, why])).toEqual([
      [-3, "Counted"],
      [7, "Entered"],
    ]);
  });

  test("what was taken stays in the log, whoever asks", async () => {
    const id = await kept();
    expect(id).toBeTruthy();
    for (const statement of [
      "update store_movement set why = 'x'",
      "delete from store_movement",
      "truncate store_movement",
    ])
      await expect(works.pool.query(statement)).rejects.toThrow("append-only");
    await expect(works.pool.query("update store_item set count = -1")).rejects.toThrow("store_item_count_check");
  });
});

describe("taken by a move", () => {
  const gap = async () => {
    const stage = {
      ...stageInput(v7(), `Float ${names++}`),
      geometry: {
        ...stageInput(v7()).geometry,
        element: { kind: "gap", what: "end-float", diameterMm: 30, places: 1 },
      },
      adjuster: {
        name: "Shims",
        means: "shims",
        adjuster: { type: "shims", perMm: -1 },
        step: 0.01,
        positiveWord: "thicker",
        negativeWord: "thinner",
      },
      limits: { quantity: "gap", lo: 0.05, aim: null, hi: 0.15, sourceKind: "drawing", source: "T" },
    };
    mustHold(await addStage(works.as(), { ...stage, machineId: works.machineId }));
    return { stageId: stage.id, job: await works.openJob([stage.id]) };
  };
  const move = (stageId: string, amount: number, more: object) => ({
    kind: "move",
    stageId,
    amount,
    did: "so",
    advised: null,
    reasons: [],
    note: "",
    ...more,
  });
  const one = [{ thicknessMm: 0.1, count: 1 }];

  test("the drawer loses what the entry used, tied to it; put back it has it again", async () => {
    const id = await kept({ count: 2 });
    const { stageId, job } = await gap();
    const stack = { was: [], now: one };
    const taken = move(stageId, 0.1, { stack, stock: [{ itemId: id, change: -1 }] });
    const entry = mustHold(await works.entry(job, taken));
    expect(entry.body).toMatchObject({ stack });
    const back = move(stageId, -0.1, { stack: { was: one, now: [] }, stock: [{ itemId: id, change: 1 }] });
    mustHold(await works.entry(job, back));
    const movements = await movementsOfItem(works.pool, id, 5);
    expect(movements.map(({ change, jobId, machineName }) => [change, jobId, machineName])).toEqual([
      [1, job, "Test machine"],
      [-1, job, "Test machine"],
      [2, null, null],
    ]);
  });

  test("what the drawer does not have refuses the whole move, for one of two who use the last one", async () => {
    const id = await kept({ count: 1 });
    const { stageId, job } = await gap();
    const taken = () => move(stageId, 0.1, { stack: { was: [], now: one }, stock: [{ itemId: id, change: -1 }] });
    const both = await Promise.all([works.entry(job, taken()), works.entry(job, taken())]);
    expect(both.map(refusal).sort()).toEqual(["none-left stock", "taken"]);
    const strange = move(stageId, 0.1, { stock: [{ itemId: v7(), change: -1 }] });
    expect(refusal(await works.entry(job, strange))).toBe("no-such-item stock");
    const wrong = move(stageId, 0.2, { stack: { was: [], now: one } });
    expect(refusal(await works.entry(job, wrong))).toBe("stack-is-not-the-move stack");
    const conjured = move(stageId, 0.1, { stack: { was: [], now: one, other: { was: [], now: [] } } });
    expect(refusal(await works.entry(job, conjured))).toBe("sides-do-not-add-up stack");
    const { rows } = await works.pool.query("select count(*) as n from entry where job_id = $1 and kind = 'move'", [
      job,
    ]);
    expect(rows[0].n).toBe(1);
  });

  test("an overdue instrument is written into what was read with it, and a lead countersigns what another signed", async () => {
    await works.pool.query("update instrument set due_on = '2026-01-01' where id = $1", [works.instrumentId]);
    const job = await works.openJob();
    expect(mustHold(await works.entry(job, works.round())).body).toMatchObject({ overdue: "2026-01-01" });
    await works.pool.query("update instrument set due_on = null where id = $1", [works.instrumentId]);
    const early = countersignJob(works.as(), { id: v7(), jobId: job, madeAt: new Date().toISOString() });
    expect(refusal(await early)).toBe("not-signed-yet jobId");
    const technician = await works.addPerson("technician");
    expect(
      refusal(await countersignJob(works.as(technician), { id: v7(), jobId: job, madeAt: new Date().toISOString() })),
    ).toBe("role");
  });
});

describe("instruments", () => {
  const gauge = (more: object = {}) => ({
    id: v7(),
    seenRevision: 0,
    name: "Gauge",
    kind: "depth gauge",
    dimension: "length",
    resolution: 0.01,
    expandedUncertainty: 0.01,
    coverage: 2,
    ...more,
  });

  test("two leads who change one at once: the second is told; a certificate is a PDF", async () => {
    const first = gauge();
    mustHold(await keepInstrument(works.as(), first));
    const change = (name: string) => keepInstrument(works.as(), { ...first, seenRevision: 1, name });
    const both = await Promise.all([change("One"), change("Two")]);
    expect(both.map(refusal).sort()).toEqual(["changed-meanwhile", "taken"]);
    const late = gauge({ calibratedOn: "2026-05-02", dueOn: "2026-05-01" });
    expect(refusal(await keepInstrument(works.as(), late))).toBe("due-before-calibrated dueOn");
    expect(refusal(await keepInstrument(works.as(await works.addPerson("technician")), gauge()))).toBe("role");

    const certificate = { id: v7(), instrumentId: first.id, name: "c.pdf" };
    const asPdf = new TextEncoder().encode("%PDF-1.4\n%âãÏÓ\n1 0 obj<<>>endobj\ntrailer<<>>\n%%EOF");
    const picture = Uint8Array.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a, 0, 0, 0, 0, 0, 0, 0, 0]);
    expect(refusal(await keepCertificate(works.as(), certificate, picture))).toBe("not-a-pdf file");
    expect(refusal(await keepCertificate(works.as(), certificate, new Uint8Array()))).toBe("empty-file file");
    expect(refusal(await keepCertificate(works.as(), { ...certificate, instrumentId: v7() }, asPdf))).toBe(
      "no-such-instrument instrumentId",
    );
    expect(refusal(await keepCertificate(works.as(), certificate, asPdf))).toBe("taken");
  });
});

describe("sheets", () => {
  const sheet = (name: string) => sheets.find((one) => one.name === name) as (typeof sheets)[number];
  const shares: number[] = [];
  const put = (name: string, text: string, save = true) =>
    importSheet(works.as(), sheet(name), text, save, async (share) => {
      shares.push(share);
    });
  const taken = async (name: string, text: string, save = true): Promise<SheetReport> =>
    mustHold(await put(name, text, save));
  const whole = (report: SheetReport) => [report.saved, report.counts] as const;

  test("what goes out comes in again unchanged, formula-like cells too", async () => {
    await kept({ name: "=1+1", place: "-drawer", nominalMm: 0.25, figures: { boreMm: 12.5 }, price: 0.4 });
    for (const { name } of sheets) {
      const out = await sheetText(works.as(), sheet(name));
      // A name that a formula could be is refused on the way in; no sheet may make one.
      const report = await taken(name, out.replaceAll("'=1+1", "one"), false);
      expect([name, report.counts.changed, report.lines.filter((line) => line.fate === "refused")]).toEqual([
        name,
        0,
        [],
      ]);
    }
    expect(await sheetText(works.as(), sheet("stores"))).toContain("'=1+1");
  });

  test("a look changes nothing; saving does all of it, or nothing where a line is refused", async () => {
    const before = await everyItem(works.pool, works.lead.workshopId);
    const good = "kind;name;nominal mm;count;place\nshim;CSV a;0,05;4;A1\nspacer;CSV b;2,5;3;A2";
    expect(whole(await taken("stores", good, false))).toEqual([false, { new: 2, changed: 0, same: 0, refused: 0 }]);
    expect(await everyItem(works.pool, works.lead.workshopId)).toHaveLength(before.length);
    const bad = `${good}\nshim;CSV c;thin;1;A3\nshim;;0,1;-2;A3\ngear;CSV d;;1;=A1`;
    const refused = await taken("stores", bad);
    expect(whole(refused)).toEqual([false, { new: 2, changed: 0, same: 0, refused: 3 }]);
    const why = refused.lines.flatMap(({ line, refusal: r }) => (r ? [`${line} ${r.code} ${r.path[0]}`] : []));
    expect(why).toEqual(["4 not-a-number nominal mm", "5 missing name", "6 formula-cell place"]);
    expect(await everyItem(works.pool, works.lead.workshopId)).toHaveLength(before.length);
    expect(whole(await taken("stores", good))).toEqual([true, { new: 2, changed: 0, same: 0, refused: 0 }]);
    const more = "kind,name,nominal mm,count\nshim,csv A,0.05,9\nspacer,CSV b,2.5,3";
    expect(whole(await taken("stores", more))).toEqual([true, { new: 0, changed: 1, same: 1, refused: 0 }]);
    const [item] = (await everyItem(works.pool, works.lead.workshopId)).filter(({ name }) => name === "csv A");
    expect(item).toMatchObject({ count: 9, place: "A1" });
    const movements = await movementsOfItem(works.pool, item?.id ?? "", 5);
    expect(movements.map(({ change, why: said }) => [change, said])).toEqual([
      [5, "Counted, by CSV"],
      [4, "Entered, by CSV"],
    ]);
  });

  test.each([
    ["a wrong column", "kind,name,weight\nshim,a,1", "no-such-column"],
    ["a column twice", "kind,name,name\nshim,a,b", "column-twice"],
    ["a column missing", "name,count\na,1", "column-missing"],
    ["no line", "kind,name", "no-lines"],
    ["nothing", "", "column-missing"],
    ["mixed decimal signs", "kind;name;nominal mm\nshim;a;0.1\nshim;b;0,2", "mixed-decimal-signs"],
  ])("%s is refused as a whole", async (_, text, code) => {
    expect(refusal(await put("stores", text))).toMatch(code);
  });

  test("the same thing twice, and cells too many, are refused at their lines", async () => {
    const report = await taken("stores", "kind,name,nominal mm\nshim,x1,1\nSHIM,X1,2\nshim,x2,1,9");
    expect(report.lines.map(({ line, refusal: r }) => [line, r?.code])).toEqual([
      [3, "line-twice"],
      [4, "too-many-cells"],
      [2, undefined],
    ]);
  });

  test("machines, instruments and limits come in through their own operations, all of them or none", async () => {
    const machines = "tag,name,meter counts\nM-1,One,hours\nM-2,One,cycles";
    const refused = await taken("machines", machines);
    expect(refused.lines[0]).toMatchObject({ line: 3, fate: "refused", refusal: { code: "name-taken" } });
    expect(await sheetText(works.as(), sheet("machines"))).not.toContain("M-1");
    expect((await taken("machines", machines.replace("M-2,One", "M-2,Two"))).saved).toBe(true);
    const limits =
      "tag,stage,quantity,lower,upper,source kind,source\nT-1,Drive,circumferential-backlash,0.12,0.2,maker,Book";
    expect(whole(await taken("limits", limits))).toEqual([true, { new: 0, changed: 1, same: 0, refused: 0 }]);
    expect(whole(await taken("limits", limits))).toEqual([true, { new: 0, changed: 0, same: 1, refused: 0 }]);
    const nowhere = await taken("limits", limits.replace("T-1", "T-9"));
    expect(nowhere.lines[0]).toMatchObject({ refusal: { code: "no-machine-tagged", path: ["tag"] } });
    const instruments =
      "name,kind,shows,resolution,expanded uncertainty,due on\nRule,steel rule,length,0.5,0.3,2027-02-03\nBad,x,length,0,0.3,soon";
    expect((await taken("instruments", instruments)).lines[0]).toMatchObject({ line: 3, fate: "refused" });
    expect((await taken("instruments", instruments.split("\n").slice(0, 2).join("\n"))).saved).toBe(true);
    const inch = "name,kind,shows,unit,resolution,expanded uncertainty\nTenths,dial indicator,length,in,0.0005,0.0003";
    expect((await taken("instruments", inch)).saved).toBe(true);
    const all = await everyInstrument(works.pool, works.lead.workshopId);
    expect(all.find(({ name }) => name === "Rule")).toMatchObject({ dueOn: "2027-02-03", resolution: 0.5 });
    expect(all.find(({ name }) => name === "Tenths")).toMatchObject({ unit: "in", resolution: 0.0127 });
    // A column that a sheet does not have stays as it is.
    const worse = "name,kind,shows,resolution,expanded uncertainty\nTenths,dial indicator,length,0.0127,0.02";
    expect((await taken("instruments", worse)).counts).toMatchObject({ changed: 1 });
    const after = await everyInstrument(works.pool, works.lead.workshopId);
    expect(after.find(({ name }) => name === "Tenths")).toMatchObject({ unit: "in", expandedUncertainty: 0.02 });
    expect((await taken("machines", "tag,name,hall,units\nM-2,Two,South,inch")).counts).toMatchObject({ changed: 1 });
    expect((await taken("machines", "tag,name\nM-2,Two by two")).counts).toMatchObject({ changed: 1 });
    expect(await sheetText(works.as(), sheet("machines"))).toContain("M-2,Two by two,,South,,,,cycles,inch");
    // Brought back as it went out, nothing has changed.
    const again = await taken("instruments", await sheetText(works.as(), sheet("instruments")));
    expect(again.counts).toMatchObject({ new: 0, changed: 0, refused: 0 });
  });

  test("a hundred thousand lines go in whole, telling how far it is; one more is too many; only leads bring them", async () => {
    const lines = Array.from({ length: 100_000 }, (_, i) => `shim,Long ${i},${(i % 900) + 1},${i % 7}`);
    shares.length = 0;
    const report = await taken("stores", `kind,name,nominal mm,count\n${lines.join("\n")}`);
    expect(whole(report)).toEqual([true, { new: 100_000, changed: 0, same: 0, refused: 0 }]);
    expect(shares.length).toBeGreaterThan(50);
    expect(shares).toEqual([...shares].sort((a, b) => a - b));
    expect(report.lines.length).toBeLessThan(1000);
    const tooMany = `kind,name,nominal mm\n${[...lines, "shim,y,1,1"].map((line) => line.replace(/,\d+$/, "")).join("\n")}`;
    expect(refusal(await put("stores", tooMany))).toBe("too-many-lines");
    const reader = works.as(await works.addPerson("reader"));
    expect(refusal(await importSheet(reader, sheet("stores"), "kind,name\nscrew,a", true, async () => {}))).toBe(
      "role",
    );
  });
});
