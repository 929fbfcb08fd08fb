import { assessRound, centreChange, roundedMove } from "../core/advice";
import { circleOrder, pointsOrder } from "../core/fastening";
import { type PairGeometry, spurPair } from "../core/gears";
import { type Random, type SimulatedMesh, seededRandom, simulatedMesh } from "../core/practice";
import { mustHold } from "../core/quantity";
import { gearAngle, roundPlan } from "../core/rounds";
import { type DemoMachine, type DemoStage, machines } from "./works";

/** One thing done on a day in the past, as the app's operations take it; ids are names that the loader turns into real ones. */
export type Act = {
  at: Date;
  operation: "open-job" | "record-entry" | "sign-job" | "correct-entry";
  input: Record<string, unknown>;
};

const liveChecks = ["guards-on", "nothing-left-in", "screws-firm", "people-clear", "locks-off"];
const day = 86_400_000;
const minute = 60_000;

export const pairOf = (stage: DemoStage): PairGeometry => ({
  ...spurPair(stage.teeth, stage.moduleMm, stage.centreDistanceMm),
  faceWidthMm: stage.faceWidthMm,
});

/** Seven months of work before `now`, oldest first. */
export function scenario(now: Date): Act[] {
  const random = seededRandom(1887);
  const [dieCutter, feeder] = machines as readonly [DemoMachine, DemoMachine];
  const [anvil, cutter] = dieCutter.stages as [DemoStage, DemoStage];
  const [cam] = feeder.stages as [DemoStage];
  const visit = (machine: DemoMachine, stage: DemoStage) => new Visits(machine, stage, now, random);
  const onAnvil = visit(dieCutter, anvil);
  const onCutter = visit(dieCutter, cutter);
  const onCam = visit(feeder, cam);

  onAnvil.mesh.drift(-0.075);
  onAnvil.whole(203, "New jack screw fitted", { temperature: 21 });
  onAnvil.mesh.drift(0.06);
  onAnvil.whole(131, "Growl at working speed", { temperature: 24 });
  onAnvil.mesh.drift(0.065);
  onAnvil.whole(54, "Routine, after 600 hours", { temperature: 22 });
  onAnvil.mesh.drift(-0.125);

  onCutter.mesh.drift(0.055);
  onCutter.whole(176, "Plate replaced", { temperature: 20 });
  onCutter.mesh.drift(0.03);
  onCutter.withMistake(88, "Routine, with the anvil drive");
  onCam.readOnly(97, "Knock once a turn");
  onCam.whole(33, "Set for the tight spot until the new gear comes", { temperature: 23, provisional: ["not-inside"] });

  onAnvil.halfDone("Squeals once a turn since Monday");
  return [onAnvil, onCutter, onCam].flatMap((v) => v.acts).sort((a, b) => a.at.getTime() - b.at.getTime());
}

/** The visits to one stage, each made on its simulated mesh as a technician would. */
class Visits {
  readonly acts: Act[] = [];
  readonly mesh: SimulatedMesh;
  private clock = new Date(0);
  private job = "";
  private count = 0;

  constructor(
    private readonly machine: DemoMachine,
    private readonly stage: DemoStage,
    private readonly now: Date,
    random: Random,
  ) {
    this.mesh = simulatedMesh({ ...stage.hidden, pair: pairOf(stage) }, 0.01, 0.003, random);
  }

  /** As found, moves until it conforms, lock up, check round, powered runs, signature. */
  whole(daysAgo: number, reason: string, { temperature = 21, provisional = [] as string[] } = {}): void {
    this.open(daysAgo, reason);
    this.isolate();
    this.clamps("eased");
    let readings = this.round("as-found", temperature);
    for (let i = 0; i < 3 && this.move(readings); i++) readings = this.readTightSpot(readings, temperature);
    this.clamps("firm");
    if (this.stage.clamps.compound) this.clamps("dressed");
    this.round("check", temperature);
    this.prove(temperature);
    this.sign(provisional, 90);
  }

  readOnly(daysAgo: number, reason: string): void {
    this.open(daysAgo, reason);
    this.isolate();
    this.round("as-found", 22);
    this.note("The gear runs out about a quarter of a millimetre. No setting will hold it; new gear asked for.");
    this.sign(["not-inside", "not-proved"], 30);
  }

  /** A check round read on the wrong gear, corrected two days later, read again. */
  withMistake(daysAgo: number, reason: string): void {
    this.open(daysAgo, reason);
    this.isolate();
    this.round("as-found", 22);
    this.mesh.drift(0.09);
    const wrong = this.round("check", 22);
    this.mesh.drift(-0.09);
    this.prove(22);
    this.sign(["not-inside"], 90);
    this.clock = new Date(this.clock.getTime() + 2 * day);
    this.push("correct-entry", {
      kind: "correction",
      namesEntry: wrong[0]?.entry,
      text: "The check round was read on the anvil gear, with the lamp on the wrong side. It does not count.",
      voids: true,
    });
  }

  halfDone(reason: string): void {
    this.open(0.035, reason);
    this.isolate();
    this.clamps("eased");
    this.round("as-found", 23);
  }

  private open(daysAgo: number, reason: string): void {
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
    this.push("record-entry", { kind: "isolated", lock: "12", acknowledged: ["electric", "air", "loads"] });
  }

  private note(text: string): void {
    this.push("record-entry", { kind: "note", text });
  }

  private clamps(state: "eased" | "firm" | "dressed"): void {
    const { points, passes } = this.stage.clamps;
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
    const [now] = this.round("set", temperature, this.tightest(earlier));
    const change = now ? now.value - (earlier.find((reading) => reading.tooth === now.tooth)?.value ?? now.value) : 0;
    return earlier.map((reading) => ({ ...reading, value: reading.value + change }));
  }

  private tightest(readings: readonly DemoReading[]): number[] {
    const least = readings.reduce((a, b) => (b.value < a.value ? b : a));
    return [least.tooth];
  }

  private round(phase: string, temperatureC: number, teeth?: readonly number[]): DemoReading[] {
    const z2 = this.stage.teeth[1];
    const planned = mustHold(roundPlan(this.stage.teeth, 12, 1)).gearToothIndices.map((index) => index + 1);
    const readings = (teeth ?? planned).map((tooth) => ({
      tooth,
      value: this.mesh.read(gearAngle({ tooth, turn: 1 }, z2)),
    }));
    const entry = this.push("record-entry", {
      kind: "round",
      phase,
      method: {
        instrumentId: "lever",
        indicatorRadiusMm: null,
        indicatorAngleDeg: 0,
        temperatureC,
        sense: "clockwise",
      },
      readings: readings.map(({ tooth, value }) => ({
        tooth,
        turn: 1,
        typed: value.toFixed(2),
        struck: false,
        repeats: null,
      })),
    });
    this.tick(6);
    return readings.map((reading) => ({ ...reading, entry }));
  }

  /** What the app would advise, done so; false where it asks for no move. */
  private move(readings: readonly DemoReading[]): boolean {
    const { stage } = this;
    const z2 = stage.teeth[1];
    const at = (tooth: number) => gearAngle({ tooth, turn: 1 }, z2);
    const assessed = mustHold(
      assessRound(
        {
          pair: pairOf(stage),
          limits: { lo: stage.limits.loMm, aim: stage.limits.aimMm ?? undefined, hi: stage.limits.hiMm },
          adjuster: stage.adjuster,
        },
        readings.map(({ tooth, value }) => ({ gearAngleDeg: at(tooth), backlashMm: value })),
        0.0102,
      ),
    );
    const values = readings.map((reading) => reading.value);
    const rounded = roundedMove(assessed.advice, stage.adjuster, stage.step, Math.min(...values), Math.max(...values));
    if (!rounded || rounded.amount === 0) return false;
    this.push("record-entry", {
      kind: "move",
      amount: rounded.amount,
      did: "so",
      advised: { ...rounded, standTooth: this.tightest(readings)[0] },
      reasons: assessed.advice.reasons,
      note: "",
    });
    this.mesh.moveCentres(centreChange(stage.adjuster, rounded.amount));
    return true;
  }

  private prove(temperature: number): void {
    this.push("record-entry", { kind: "live", acknowledged: liveChecks });
    const runs = [
      ["forwards", "slow", "1.4", "even hum"],
      ["forwards", "working", "2.3", "even hum"],
      ["backwards", "working", "2.4", "even hum, a little louder"],
    ] as const;
    for (const [direction, speed, current, noise] of runs)
      this.push("record-entry", {
        kind: "proof",
        direction,
        speed,
        current,
        temperature: `${temperature + 9} °C`,
        noise,
      });
  }

  private sign(provisional: readonly string[], daysToNext: number): void {
    const compound = this.stage.clamps.compound ? [] : ["no-compound"];
    this.tick(4);
    this.push("sign-job", {
      kind: "signature",
      seenEntry: this.acts.at(-1)?.input.id,
      provisional: [
        "no-as-found",
        "no-check-round",
        "clamps-not-firm",
        "not-inside",
        "not-proved",
        ...compound,
        ...provisional,
      ],
      comment: "",
      nextDate: new Date(this.clock.getTime() + daysToNext * day).toISOString().slice(0, 10),
    });
  }
}

type DemoReading = { tooth: number; value: number; entry?: string };
