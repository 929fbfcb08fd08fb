import { adjusterNow, assessRound, centreChange, learnFromMoves, type Response, roundedMove } from "../core/advice";
import { circleOrder, pointsOrder } from "../core/fastening";
import type { FeelMethod, PaperPrint } from "../core/logbook";
import { type Random, type SimulatedStage, simulatedStage, usualInstruments } from "../core/practice";
import { mustHold } from "../core/quantity";
import { placesToRead } from "../core/rounds";
import {
  type Feel,
  type FeelGrade,
  type Frame,
  feelTable,
  frameOf,
  isTighter,
  type JudgedQuantity,
  judgedBy,
  type MeasuredQuantity,
  placeAngle,
  placeCount,
  type SideQuantity,
  sensitivityOf,
  waysToMeasure,
  withGearIn,
} from "../core/stages";
import { type DemoProof, proofOf, runId } from "./proofs";
import type { DemoMachine, DemoStage } from "./types";

/** One thing done on a day in the past, as the app's operations take it; ids are names that the loader turns into real ones. */
export type Act = {
  at: Date;
  operation:
    | "open-job"
    | "record-entry"
    | "sign-job"
    | "correct-entry"
    | "revise-stage"
    | "exchange-gear"
    | "open-point"
    | "keep-computation"
    | "log-trial"
    | "keep-option"
    | "log-usage"
    | "keep-guide"
    | "keep-shaft"
    | "keep-proof-plan"
    | "log-symptom"
    | "plan-visit"
    | "assign"
    | "keep-upkeep"
    | "log-upkeep"
    | "attach-photograph";
  input: Record<string, unknown>;
};

/** What stood on the screen and was acknowledged, word for word. */
const cautions = [
  { key: "electric", text: "Supply isolated and proved dead at the motor" },
  { key: "air", text: "Compressed air vented, and nothing left that recharges" },
  { key: "loads", text: "Raised loads landed or propped; springs and counterweights held" },
];
const hands = { key: "hands", text: "No hand, paper or rag in a mesh that has power. Heavy parts: two to lift" };
export const liveChecks = [
  { key: "guards-on", text: "Guards are on" },
  { key: "nothing-left-in", text: "Indicator, keys, paper, pins and wedges are out" },
  { key: "screws-firm", text: "Every screw is at least firm" },
  { key: "people-clear", text: "People are clear" },
  { key: "locks-off", text: "Every lock was taken off by its owner" },
];
const day = 86_400_000;
const minute = 60_000;

/** What each quantity is read with here, and how much it scatters. */
const readWith: Partial<Record<MeasuredQuantity, { key: string; noise: number; digits: number }>> = {
  "span-frequency": { key: "meter", noise: 0.1, digits: 1 },
  sag: { key: "rule", noise: 0.2, digits: 1 },
  elongation: { key: "caliper", noise: 0.02, digits: 2 },
  gap: { key: "feelers", noise: 0.004, digits: 2 },
};
/** A belt of guessed stiffness is brought up in safe parts. */
const mostMoves = 6;
const byIndicator = { key: "lever", noise: 0.003, digits: 2 };

/** One thing of a strip-down: an entry, or a photograph that names one. */
export type Done = {
  /** A name of its own, where something else names it. */
  id?: string;
  work?: Record<string, unknown>;
  photograph?: { id: string; names: string; name: string; caption: string; svg: string };
};

type DemoReading = { tooth: number; value: number; entry?: string };
type Whole = { temperature?: number; undressed?: boolean; firstBuild?: boolean };

/** The visits to one stage, each made on its simulated mesh as a technician would. */
export class Visits {
  readonly acts: Act[] = [];
  private readonly mesh: SimulatedStage;
  private readonly frame: Frame;
  private readonly judged: JudgedQuantity;
  private readonly quantity: MeasuredQuantity;
  private readonly with: { key: string; noise: number; digits: number };
  private clock = new Date(0);
  private job = "";
  private count = 0;
  /** How far the adjuster was moved since it was entered. */
  private moved = 0;
  /** Of a switchable gear what is in, with the mesh that it makes. */
  private gearIn: { name: string; mesh: SimulatedStage } | null = null;

  constructor(
    private readonly machine: DemoMachine,
    private readonly stage: DemoStage,
    private readonly now: Date,
    private readonly random: Random,
  ) {
    const { element } = stage.geometry;
    this.frame = frameOf(element);
    this.judged = judgedBy(element);
    this.quantity = waysToMeasure(element)[0] as MeasuredQuantity;
    this.with = readWith[this.quantity] ?? byIndicator;
    const resolution = usualInstruments.find(({ key }) => key === this.with.key)?.resolution ?? 0.01;
    this.mesh = simulatedStage({ ...stage.hidden, element }, this.quantity, resolution, this.with.noise, random);
  }

  get element(): DemoStage["geometry"]["element"] {
    return this.stage.geometry.element;
  }

  /** What the months did to it. */
  drift(changeMm: number): this {
    this.mesh.drift(changeMm);
    return this;
  }

  /** As found, moves until it conforms, lock up, check round, powered runs, signature. */
  whole(
    daysAgo: number,
    reason: string,
    { temperature = 21, undressed = false, firstBuild = false }: Whole = {},
  ): void {
    this.open(daysAgo, reason, firstBuild);
    this.isolate();
    this.clamps("eased");
    const meshes = this.judged === "backlash";
    const paper =
      meshes &&
      this.push("record-entry", { kind: "loose-thing", state: "in", thing: "paper strip", where: "in the mesh" });
    let readings = this.round(firstBuild ? "set" : "as-found", temperature);
    for (let i = 0; i < mostMoves && this.move(readings); i++) readings = this.readTightSpot(readings, temperature);
    if (paper) this.push("record-entry", { kind: "loose-thing", state: "out", names: paper });
    this.clamps("firm");
    if (this.stage.geometry.clamps.compound && !undressed) this.clamps("dressed");
    this.round("check", temperature);
    this.prove(temperature);
    this.sign(90);
  }

  /** A routine round that finds nothing to do. */
  look(daysAgo: number, reason: string): void {
    this.open(daysAgo, reason);
    this.isolate();
    this.round("as-found", 22);
    this.sign(90);
  }

  readOnly(daysAgo: number, reason: string, note: string): void {
    this.open(daysAgo, reason);
    this.isolate();
    this.round("as-found", 22);
    this.note(note);
    this.sign(30);
  }

  /** Felt at a few teeth and left alone. */
  felt(daysAgo: number, reason: string, method: FeelMethod, words: readonly Feel[]): void {
    this.open(daysAgo, reason);
    this.isolate();
    const teeth = placeCount(this.frame);
    this.push("record-entry", {
      kind: "feel",
      phase: "as-found",
      method,
      places: words.map((feel, i) => ({ tooth: 1 + Math.floor((i * teeth) / words.length), feel })),
    });
    this.sign(120);
  }

  /** Felt, set by a word with paper at the tight spot, felt again: nothing is measured. */
  byHand(daysAgo: number, reason: string): void {
    this.open(daysAgo, reason);
    this.isolate();
    this.clamps("eased");
    this.feel("as-found", [3, 4, 5, 4, 3, 3]);
    this.push("record-entry", { kind: "move", amount: 0.04, did: "so", advised: null, reasons: [], note: "by feel" });
    this.moved += 0.04;
    this.mesh.moveCentres(0.04);
    this.paper(["even", "even"]);
    this.clamps("firm");
    this.feel("check", [3, 3, 4, 3, 3, 3]);
    this.prove(21);
    this.sign(120);
  }

  /** Shimmed by its print: bottomed, a shim added, printed again. */
  byPrint(daysAgo: number, reason: string): void {
    this.open(daysAgo, reason);
    this.isolate();
    this.clamps("eased");
    const paint = this.push("record-entry", {
      kind: "loose-thing",
      state: "in",
      thing: "marking paint",
      where: "on the teeth",
    });
    this.print("as-found", { from: 0.05, to: 0.75 });
    this.push("record-entry", { kind: "move", amount: 0.4, did: "so", advised: null, reasons: [], note: "bottomed" });
    this.moved += 0.4;
    this.mesh.moveCentres(0.4);
    this.clamps("firm");
    this.print("check", { from: 0.4, to: 0.95 });
    this.push("record-entry", { kind: "loose-thing", state: "out", names: paint });
    this.prove(20);
    this.sign(120);
  }

  /** Two people look at it their own way, and do not agree. */
  twoSchools(daysAgo: number, reason: string): void {
    this.open(daysAgo, reason);
    this.isolate();
    this.paper(["cut through", "even"]);
    this.feel("as-found", [3, 4, 4, 3, 3, 3]);
    this.note("Paper says tight at the first tooth, the hand says right. Left as it is; to be measured.");
    this.sign(30);
  }

  /** A worn pinion comes out and one of the same teeth goes in; then it is set by number. */
  exchanged(daysAgo: number, reason: string, item: string, centreDistanceMm: number): void {
    this.open(daysAgo, reason);
    this.isolate();
    this.clamps("eased");
    this.round("as-found", 21);
    this.push("exchange-gear", {
      entryId: `${this.job}-exchanged`,
      revisionId: `${this.stage.key}-geometry-2`,
      seenRevision: 1,
      items: [item, null],
      drawers: [null, null],
      centreDistanceMm,
      acknowledged: [
        { key: "faces", text: "Faces of the two gears in line" },
        { key: "flat", text: "Set screw on the flat, or key home" },
      ],
      notAcknowledged: [],
      text: "The old one was hooked on the drive side",
    });
    let readings = this.round("set", 21);
    for (let i = 0; i < mostMoves && this.move(readings); i++) readings = this.readTightSpot(readings, 21);
    this.clamps("firm");
    this.round("check", 21);
    this.prove(21);
    this.sign(90);
  }

  /** A gear with two speeds, each against a stop of its own: both read, the spacer of one exchanged, the force raised in steps. */
  twoSpeeds(daysAgo: number, reason: string): void {
    this.open(daysAgo, reason);
    this.isolate();
    this.clamps("eased");
    this.putIn("low", 0.045);
    this.round("as-found", 21);
    const low = this.gearIn;
    this.putIn("high", 0.135);
    this.round("as-found", 21);
    const high = this.gearIn;
    this.gearIn = low;
    this.push("record-entry", {
      kind: "move",
      gear: "low",
      amount: 0.16,
      did: "so",
      advised: { amount: 0.16, min: 0.13, max: 0.19, at: null, standTooth: null },
      reasons: [],
      note: "",
      stack: { was: [{ thicknessMm: 1, count: 1 }], now: [{ thicknessMm: 1.16, count: 1 }] },
    });
    low?.mesh.moveCentres(0.16);
    this.clamps("firm");
    this.clamps("dressed");
    this.round("check", 21);
    this.gearIn = high;
    this.round("check", 21);
    this.prove(21, ["low", "high"]);
    for (const [gear, currents] of [
      ["low", ["1.42", "1.43", "1.42", "1.43", "1.43"]],
      ["high", ["1.61", "1.60", "1.61", "1.62", "1.61"]],
    ] as const)
      this.push("record-entry", {
        kind: "sweep",
        gear,
        unit: "bar",
        points: currents.map((current, i) => ({ force: String(2 + i), current })),
      });
    this.sign(90);
  }

  /** A gear that slides between two mates: read in both, its stops measured, tried how it goes in. */
  shifted(daysAgo: number, reason: string): void {
    this.open(daysAgo, reason);
    this.isolate();
    this.putIn("slow", 0.13);
    this.round("as-found", 21);
    this.putIn("fast", 0.14);
    this.round("as-found", 21);
    this.push("record-entry", {
      kind: "shift",
      stops: { left: "-13.1", right: "13.2" },
      engaged: [
        { gear: "slow", how: "goes in" },
        { gear: "fast", how: "goes in while one side turns" },
      ],
      actuator: { left: "1180", right: "1752" },
      note: "",
    });
    this.note("The spacer at the fast end is too thick by most of a millimetre; a thinner one is asked for");
    this.sign(90);
  }

  /** Taken apart and built up again; what was seen is kept as a guide. */
  apart(
    daysAgo: number,
    reason: string,
    done: readonly Done[],
    guide: { name: string; parts: (photograph: (of: string) => string) => readonly object[] },
  ): this {
    this.open(daysAgo, reason);
    this.isolate();
    const own = (name: string) => `${this.job}-${name}`;
    for (const { id, work, photograph } of done) {
      if (work) this.push("record-entry", { ...work, ...(id ? { id: own(id) } : {}) });
      if (photograph)
        this.push("attach-photograph", {
          ...photograph,
          id: own(photograph.id),
          names: own(photograph.names),
          machineId: this.machine.key,
        });
    }
    this.push("keep-guide", {
      entryId: own("guide-kept"),
      revisionId: own("guide-revision"),
      guideId: own("guide"),
      machineId: this.machine.key,
      name: guide.name,
      seenRevision: 0,
      parts: guide.parts((of) => own(`photo-${of}`)),
      text: "From a strip-down",
    });
    this.sign(180);
    return this;
  }

  /** Shafts of the machine put down, and one of them found, filled up and put together. */
  shafts(
    daysAgo: number,
    reason: string,
    shafts: readonly { id: string; shaft: object }[],
    done: readonly { id: string; said: object }[],
  ): this {
    this.open(daysAgo, reason);
    this.isolate();
    for (const { id, shaft } of shafts)
      this.push("keep-shaft", {
        entryId: `${id}-entered`,
        revisionId: `${id}-revision`,
        shaftId: id,
        machineId: this.machine.key,
        seenRevision: 0,
        shaft,
      });
    for (const { id, said } of done)
      this.push("record-entry", { kind: "shaft", shaftId: id, revisionId: `${id}-revision`, ...said });
    this.sign(180);
    return this;
  }

  /** Measured with tools of the calculation, and put right. */
  putRight(daysAgo: number, reason: string, measured: readonly object[]): this {
    return this.did(
      daysAgo,
      reason,
      measured.map((said) => ({ kind: "measured", ...said })),
      180,
    );
  }

  /** A job whose entries are all said beforehand. */
  did(daysAgo: number, reason: string, works: readonly object[], daysToNext: number): this {
    this.open(daysAgo, reason);
    this.isolate();
    for (const work of works) this.push("record-entry", { ...work });
    this.sign(daysToNext);
    return this;
  }

  private putIn(name: string, mean: number): void {
    const element = withGearIn(this.stage.geometry.element, name);
    if (!element) throw new Error(`no gear ${name}`);
    const hidden = { ...this.stage.hidden, element, mean };
    this.gearIn = { name, mesh: simulatedStage(hidden, this.quantity, 0.01, this.with.noise, this.random) };
  }

  private feel(phase: "as-found" | "check", grades: readonly FeelGrade[]): void {
    const teeth = placeCount(this.frame);
    const words = feelTable.click;
    this.push("record-entry", {
      kind: "feel",
      phase,
      method: "by hand",
      places: grades.map((grade, i) => ({ tooth: 1 + Math.floor((i * teeth) / grades.length), feel: words[grade] })),
    });
  }

  private paper(prints: readonly PaperPrint[]): void {
    const strip = this.push("record-entry", {
      kind: "loose-thing",
      state: "in",
      thing: "paper strip",
      where: "in the mesh",
    });
    const teeth = placeCount(this.frame);
    this.push("record-entry", {
      kind: "feel",
      phase: "set",
      method: "paper strip",
      places: [],
      paper: {
        prints: prints.map((print, i) => ({ tooth: 1 + Math.floor((i * teeth) / prints.length), print })),
        sheet: { thicknessMm: 0.06, flanks: 2, pressed: 0.9, toleranceMm: 0.006 },
      },
    });
    this.push("record-entry", { kind: "loose-thing", state: "out", names: strip });
  }

  private print(phase: "as-found" | "check", depth: { from: number; to: number }): void {
    const span = { depth, length: { from: 0.1, to: 0.9 }, diagonal: false };
    this.push("record-entry", {
      kind: "feel",
      phase,
      method: "marking paint",
      places: [],
      print: {
        kind: "ring-pinion",
        prints: [
          { flank: "drive", ...span },
          { flank: "coast", ...span },
        ],
        boltSpanMm: 84,
        filmMm: 0.01,
        wholeDepthMm: 5.6,
        faceWidthMm: 16,
      },
    });
  }

  /** A check round read on the wrong gear, corrected two days later. */
  withMistake(daysAgo: number, reason: string): void {
    this.open(daysAgo, reason);
    this.isolate();
    this.round("as-found", 22);
    this.mesh.drift(0.09);
    const wrong = this.round("check", 22);
    this.mesh.drift(-0.09);
    this.prove(22);
    this.sign(90);
    this.clock = new Date(this.clock.getTime() + 2 * day);
    this.push("correct-entry", {
      kind: "correction",
      namesEntry: wrong[0]?.entry,
      text: "The check round was read on the anvil gear, with the lamp on the wrong side. It does not count.",
      voids: true,
    });
  }

  /** Something read beside it, within a look. */
  lookBeside(
    daysAgo: number,
    reason: string,
    quantity: SideQuantity,
    typed: string[],
    held: number | null = null,
  ): void {
    this.open(daysAgo, reason);
    this.isolate();
    this.round("as-found", 22);
    const instrumentId = quantity === "angle" ? "protractor" : quantity === "end-float" ? "lever" : "caliper";
    this.push("record-entry", { kind: "side", quantity, instrumentId, typed, held, note: "" });
    this.sign(90);
  }

  halfDone(reason: string): void {
    this.open(0.035, reason);
    this.isolate();
    this.clamps("eased");
    this.round("as-found", 23);
  }

  /** A new gear of the same drawing. */
  replaceGear(daysAgo: number, text: string): void {
    this.clock = new Date(this.now.getTime() - daysAgo * day);
    const { arcDeg = null, ...geometry } = this.stage.geometry;
    this.acts.push({
      at: this.clock,
      operation: "revise-stage",
      input: {
        what: "geometry",
        stageId: this.stage.key,
        entryId: `${this.stage.key}-replaced`,
        revisionId: `${this.stage.key}-geometry-2`,
        seenRevision: 1,
        text,
        geometry: { ...geometry, arcDeg },
      },
    });
  }

  /** An open point said in words. */
  say(daysAgo: number, text: string): void {
    const at = new Date(this.now.getTime() - daysAgo * day);
    const id = `${this.stage.key}-point-${this.acts.length}`;
    this.acts.push({
      at,
      operation: "open-point",
      input: { id, machineId: this.machine.key, stageId: this.stage.key, text },
    });
  }

  /** A computation of the Bench kept on the stage. */
  keep(daysAgo: number, tool: string, asked: object, text: string): void {
    this.acts.push({
      at: new Date(this.now.getTime() - daysAgo * day),
      operation: "keep-computation",
      input: {
        id: `${this.machine.key}-${this.stage.key}-kept-${daysAgo}`,
        stageId: this.stage.key,
        tool,
        input: asked,
        text,
      },
    });
  }

  /** Versions of a part as they were made and tried, oldest first. */
  tried(daysAgo: number, part: string, versions: readonly Record<string, string>[]): void {
    for (const [i, version] of versions.entries())
      this.acts.push({
        at: new Date(this.now.getTime() - daysAgo * day + i * 40 * minute),
        operation: "log-trial",
        input: { id: `${this.machine.key}-${this.stage.key}-${part}-${i}`, stageId: this.stage.key, part, ...version },
      });
  }

  /** Ways to drive the stage, as they were put down beside each other. */
  options(daysAgo: number, options: readonly Record<string, unknown>[]): void {
    for (const [i, option] of options.entries())
      this.acts.push({
        at: new Date(this.now.getTime() - daysAgo * day + i * 15 * minute),
        operation: "keep-option",
        input: { id: `${this.machine.key}-${this.stage.key}-option-${i}`, stageId: this.stage.key, ...option },
      });
  }

  private open(daysAgo: number, reason: string, firstBuild = false): void {
    this.clock = new Date(this.now.getTime() - daysAgo * day);
    if (daysAgo > 1) this.clock.setUTCHours(7 + (this.count % 5), 10 + ((daysAgo * 7) % 45), 0, 0);
    this.job = `${this.machine.key}-${this.stage.key}-job-${++this.count}`;
    this.acts.push({
      at: this.clock,
      operation: "open-job",
      input: {
        id: this.job,
        entryId: `${this.job}-opened`,
        machineId: this.machine.key,
        stageIds: [this.stage.key],
        reason,
        firstBuild,
      },
    });
    this.tick(2);
  }

  private tick(minutes: number): void {
    this.clock = new Date(this.clock.getTime() + minutes * minute);
  }

  private push(operation: Act["operation"], input: Record<string, unknown>): string {
    const id = `${this.job}-${this.acts.length}`;
    this.acts.push({ at: this.clock, operation, input: { id, jobId: this.job, stageId: this.stage.key, ...input } });
    this.tick(1.5);
    return id;
  }

  private isolate(): void {
    this.push("record-entry", {
      kind: "isolated",
      lock: "12",
      noLock: null,
      acknowledged: cautions,
      notAcknowledged: [hands],
    });
  }

  private note(text: string): void {
    this.push("record-entry", { kind: "note", text });
  }

  private clamps(state: "eased" | "firm" | "dressed"): void {
    const { points, passes } = this.stage.geometry.clamps;
    const order = points.length === 4 ? pointsOrder(points) : circleOrder(points.length);
    const touch = (clamp: number, pass: number, as: string) =>
      this.push("record-entry", { kind: "clamp", clamp, pass, state: as });
    if (state === "eased") for (const clamp of [...order].reverse()) touch(clamp, 0, "eased");
    else if (state === "dressed") for (const clamp of order) touch(clamp, passes, "dressed");
    else
      for (let pass = 1; pass <= passes; pass++)
        for (const clamp of order) touch(clamp, pass, pass === passes ? "firm" : "snug");
  }

  /** The tight spot read again, and the rest of the round moved with it. */
  private readTightSpot(earlier: readonly DemoReading[], temperature: number): DemoReading[] {
    const [now] = this.round("set", temperature, [this.tightest(earlier)]);
    const change = now ? now.value - (earlier.find((reading) => reading.tooth === now.tooth)?.value ?? now.value) : 0;
    return earlier.map((reading) => ({ ...reading, value: reading.value + change }));
  }

  private tightest(readings: readonly DemoReading[]): number {
    return readings.reduce((a, b) => (isTighter(this.judged, b.value, a.value) ? b : a)).tooth;
  }

  private round(phase: string, temperatureC: number, only?: readonly number[]): DemoReading[] {
    const frame = this.gearIn
      ? frameOf(withGearIn(this.stage.geometry.element, this.gearIn.name) ?? this.stage.geometry.element)
      : this.frame;
    const places = only ?? placesToRead(frame, this.stage.geometry.arcDeg ?? null);
    const mesh = this.gearIn?.mesh ?? this.mesh;
    const shown = places.map((tooth) => ({ tooth, typed: mesh.measure(tooth) }));
    const readings = shown.map(({ tooth, typed }) => ({ tooth, value: mesh.judge(typed) }));
    const entry = this.push("record-entry", {
      kind: "round",
      phase,
      method: {
        quantity: this.quantity,
        instrumentId: this.with.key,
        indicatorRadiusMm: null,
        indicatorAngleDeg: 0,
        temperatureC,
        sense: "clockwise",
        ...(this.gearIn ? { gear: this.gearIn.name } : {}),
      },
      readings: shown.map(({ tooth, typed }) => ({
        tooth,
        turn: 1,
        typed: typed.toFixed(this.with.digits),
        struck: false,
        repeats: null,
      })),
    });
    this.tick(6);
    return readings.map((reading) => ({ ...reading, entry }));
  }

  /** What the app would advise, done so; false where it asks for no move. */
  private move(readings: readonly DemoReading[]): boolean {
    const { adjuster, limits, geometry } = this.stage;
    const at = (tooth: number) => placeAngle(this.frame, { tooth, turn: 1 });
    if (!adjuster.adjuster) return false;
    const stood = adjusterNow(adjuster.adjuster, this.moved);
    const assessed = mustHold(
      assessRound({
        element: geometry.element,
        limits: { lo: limits.lo, aim: limits.aim ?? undefined, hi: limits.hi },
        adjuster: stood,
        arcDeg: geometry.arcDeg,
        readings: readings.map(({ tooth, value }) => ({ tooth, angleDeg: at(tooth), value, struck: false })),
        expandedUncertainty: this.judged === "backlash" ? 0.0102 : 0.03 * (limits.hi - limits.lo),
        how: "as-found",
        known: null,
        response: this.expected(),
      }),
    );
    const rounded = roundedMove(assessed.advice, stood, adjuster.step, assessed.judged, limits);
    if (!rounded || rounded.amount === 0) return false;
    this.push("record-entry", {
      kind: "move",
      amount: rounded.amount,
      did: "so",
      advised: { ...rounded, standTooth: this.tightest(readings) },
      reasons: assessed.advice?.reasons ?? [],
      note: "",
    });
    this.mesh.moveCentres(centreChange(stood, rounded.amount));
    this.moved += rounded.amount;
    return true;
  }

  /** What its law says a unit of the adjuster does, as the app takes it before any move has taught. */
  private expected(): Response | undefined {
    const { adjuster, limits, geometry } = this.stage;
    const sensitivity = sensitivityOf(geometry.element, 0.5, limits.aim ?? (limits.lo + limits.hi) / 2);
    return adjuster.adjuster && sensitivity
      ? learnFromMoves(geometry.element, adjuster.adjuster, sensitivity, [])
      : undefined;
  }

  private prove(temperature: number, gears: readonly (string | undefined)[] = [undefined]): void {
    const planned = proofOf(this.machine.key, this.stage.key);
    if (planned && this.clock.getTime() > this.now.getTime() - planned.since * day) {
      this.proveByPlan(planned);
      return;
    }
    this.push("record-entry", { kind: "live", acknowledged: liveChecks });
    const runs = [
      ["forwards", "slow", "1.4", "even hum"],
      ["forwards", "working", "2.3", "even hum"],
      ["backwards", "working", "2.4", "even hum, a little louder"],
    ] as const;
    for (const gear of gears)
      for (const [direction, speed, current, noise] of runs)
        this.push("record-entry", {
          kind: "proof",
          way: "powered",
          outcome: "ran",
          direction,
          speed,
          current,
          temperature: `${temperature + 9} °C`,
          noise,
          gear,
        });
  }

  /** By hand first, then under power; a run that stalled is looked into and run again. */
  private proveByPlan(planned: DemoProof): void {
    const run = (row: string, outcome: string, shown: Record<string, unknown>) =>
      this.push("record-entry", {
        ...{ kind: "proof", way: "powered", outcome, direction: null, speed: null },
        ...{ temperature: "", noise: "", planned: runId(planned, row) },
        ...shown,
      });
    const byHand = (move: string | undefined) => move === "hand-turn";
    const rows = [...planned.rows].sort((a, b) => Number(byHand(b.move)) - Number(byHand(a.move)));
    let live = false;
    for (const { id, move } of rows) {
      if (!live && !byHand(move)) {
        this.push("record-entry", { kind: "live", acknowledged: liveChecks });
        live = true;
      }
      const { temp, minutes, ...shown } = planned.shows[id] ?? { current: "" };
      if (planned.stall?.row === id) {
        const { endedAt, current, looks } = planned.stall;
        run(id, "stalled", { current, endedAt });
        for (const text of looks) this.note(text);
      }
      run(id, "ran", {
        ...shown,
        ...(temp ? { temperatures: [{ place: "motor", minutes: "", temp }] } : {}),
        ...(minutes ? { ran: { minutes, by: "timer" } } : {}),
      });
    }
  }

  private sign(daysToNext: number): void {
    this.tick(4);
    this.push("sign-job", {
      kind: "signature",
      saw: this.acts
        .filter(({ input }) => input.jobId === this.job || input.id === this.job)
        .filter(({ operation }) => operation === "record-entry" || operation === "open-job")
        .map(({ operation, input }) => (operation === "record-entry" ? input.id : (input.entryId ?? input.id))),
      stages: [
        {
          stageId: this.stage.key,
          provisional: [
            "plan-not-proven",
            "parts-off",
            "screws-missing",
            "screws-over",
            "part-screws-slack",
            "turns-hard",
            "shaft-not-right",
            "measured-not-inside",
            "no-as-found",
            "no-check-round",
            "clamps-not-firm",
            "not-inside",
            "not-proved",
            "switch-not-proved",
            "no-compound",
            "things-left-in",
            "side-not-inside",
            "shift-not-right",
            "force-rises",
            "clamps-not-known",
            "run-went-wrong",
          ],
          nextDate: new Date(this.clock.getTime() + daysToNext * day).toISOString().slice(0, 10),
        },
      ],
      comment: "",
    });
  }
}
