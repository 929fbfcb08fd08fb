import { expertWay, isRight } from "./expert";
import type { PracticeWay } from "./expert-way";
import { type Hold, type HuntTest, type PracticeCase, practiceMinutes, type Renewal, setBelowK } from "./lessons";
import { type PracticeMachine, partOf, practiceMachine } from "./practice-machine";
import type { SimulatedKey } from "./wedge";

/** What somebody did on a practice machine, in order. `stage` by its place in the case. */
export type PracticeEvent =
  | { did: "read"; stage: number; key: SimulatedKey; place: number; hold: Hold }
  | { did: "wait"; minutes: number }
  | { did: "renew"; stage: number; part: Renewal }
  | { did: "listen" }
  | { did: "test"; test: HuntTest; stage: number; part: Renewal }
  | { did: "move"; stage: number; amount: number }
  /** A round as it was kept: what was typed at each place, by the instrument's own figure. */
  | { did: "round"; stage: number; readings: readonly { place: number; shown: number; struck: boolean }[] }
  | { did: "power"; stage: number }
  | { did: "found"; stage: number; part: Renewal | null };

/** What somebody did that would have cost a real machine, or its owner, something. */
export const practiceDamages = [
  "left-outside",
  "pressed-together",
  "ran-outside",
  "loose-bearing-left",
  "set-warm",
  "bad-reading-trusted",
  "reading-not-taken",
  "sound-part-renewed",
  "wrong-part-blamed",
  "knock-left",
] as const;
export type PracticeDamage = { what: (typeof practiceDamages)[number]; stage: number | null; times: number };

export type PracticeScore = {
  /** Whether the machine is as it should be: every stage inside its limits at the hall's temperature, and nothing hidden left. */
  right: boolean;
  readings: number;
  moves: number;
  minutes: number;
  expert: PracticeWay;
  damage: PracticeDamage[];
  ends: { least: number; greatest: number; inside: boolean }[];
};

/**
 * What came of a practice, gone through again from what was done: nothing that the one who practised said is taken for how the machine is.
 *
 * @param seed the practice's own
 */
export function practiceScore(practice: PracticeCase, seed: number, events: readonly PracticeEvent[]): PracticeScore {
  const machine = practiceMachine(practice, seed);
  const watch = new Watch(practice, machine);
  for (const event of events) watch.see(event);
  const ends = practice.stages.map((stage, i) => {
    const truth = machine.truth(i);
    return { ...truth, inside: isRight(stage, truth) };
  });
  watch.atEnd(ends);
  const bestWay = expertWay(practice, seed + 1);
  return {
    right:
      ends.every(({ inside }) => inside) &&
      !machine.knocks() &&
      practice.stages.every((_, i) => !machine.looseBearing(i)),
    readings: machine.taken(),
    moves: watch.moves,
    minutes: watch.minutes,
    expert: bestWay,
    damage: watch.damage(),
    ends,
  };
}

type Sent = { place: number; shown: number; bad: boolean };

/** Follows what is done, beside the machine that it is done to. */
class Watch {
  moves = 0;
  minutes = 0;
  readonly #times = new Map<string, PracticeDamage>();
  readonly #sent: Sent[][];
  /** The last round of each stage had a reading that slipped, not struck and not taken again; and how warm it was. */
  readonly #bad: boolean[];
  readonly #warmK: (number | null)[];
  #hold: Hold = "motor";

  constructor(
    readonly practice: PracticeCase,
    readonly machine: PracticeMachine,
  ) {
    this.#sent = practice.stages.map(() => []);
    this.#bad = practice.stages.map(() => false);
    this.#warmK = practice.stages.map(() => null);
  }

  see(event: PracticeEvent): void {
    if (event.did === "read") this.#read(event);
    else if (event.did === "renew") this.#renew(event.stage, event.part);
    else if (event.did === "move") this.#move(event.stage, event.amount);
    else if (event.did === "round") this.#round(event);
    else if (event.did === "power") this.#power(event.stage);
    else if (event.did === "found") this.#found(event.stage, event.part);
    else if (event.did === "listen") this.minutes += practiceMinutes.listen;
    else if (event.did === "test") this.minutes += practiceMinutes.test[event.test];
    else {
      this.minutes += event.minutes;
      this.machine.wait(event.minutes);
    }
  }

  atEnd(ends: readonly { inside: boolean }[]): void {
    for (const [stage, { inside }] of ends.entries()) {
      if (!inside) this.#damage("left-outside", stage);
      if (this.machine.looseBearing(stage)) this.#damage("loose-bearing-left", stage);
      const warm = this.#warmK[stage] ?? null;
      if (warm !== null && warm > setBelowK) this.#damage("set-warm", stage);
    }
    if (this.machine.knocks()) this.#damage("knock-left", null);
  }

  damage(): PracticeDamage[] {
    return [...this.#times.values()];
  }

  #read({ stage, key, place, hold }: Extract<PracticeEvent, { did: "read" }>): void {
    this.minutes += practiceMinutes.read;
    if (hold === "clamp" && this.#hold !== "clamp") this.minutes += practiceMinutes.clamp;
    this.#hold = hold;
    const text = this.machine.read(stage, key, place, hold);
    const bad = this.practice.stages[stage]?.faults.badReading?.nth === this.machine.taken();
    if (text !== null) this.#sent[stage]?.push({ place, shown: Number(text), bad });
  }

  #renew(stage: number, part: Renewal): void {
    this.minutes += practiceMinutes.renew;
    const faults = this.practice.stages[stage]?.faults ?? {};
    const cause = this.practice.knock?.cause;
    const needed =
      (part === "bearing" && this.machine.looseBearing(stage)) ||
      (part === "adjuster" && faults.lostMotionMm !== undefined) ||
      (this.machine.knocks() && cause?.stage === stage && partOf(cause.part) === part);
    if (!needed) this.#damage("sound-part-renewed", stage);
    this.machine.renew(stage, part);
  }

  #move(stage: number, amount: number): void {
    this.minutes += practiceMinutes.move;
    this.moves++;
    if (this.#bad[stage]) this.#damage("bad-reading-trusted", stage);
    this.#bad[stage] = false;
    this.#warmK[stage] = null;
    const mesh = this.practice.stages[stage]?.element.kind === "gear-pair";
    this.machine.move(stage, amount);
    // The simulated mesh reads nothing below none at all.
    if (mesh && this.machine.truth(stage).least < 0.001) this.#damage("pressed-together", stage);
  }

  #round({ stage, readings }: Extract<PracticeEvent, { did: "round" }>): void {
    const sent = this.#sent[stage] ?? [];
    const ofPlace = (place: number, shown: number) =>
      sent.filter((one) => one.place === place && Math.abs(one.shown - shown) < 1e-6);
    const counting = readings.filter(({ struck }) => !struck);
    if (counting.some(({ place, shown }) => ofPlace(place, shown).length === 0))
      this.#damage("reading-not-taken", stage);
    // A place taken again beside it shows which of the two slipped.
    const again = (place: number) => readings.filter((one) => one.place === place).length > 1;
    this.#bad[stage] = counting.some(
      ({ place, shown }) =>
        !again(place) && ofPlace(place, shown).length > 0 && ofPlace(place, shown).every(({ bad }) => bad),
    );
    this.#warmK[stage] = this.machine.warmK();
    this.#sent[stage] = [];
  }

  #power(stage: number): void {
    const of = this.practice.stages[stage];
    if (!of) return;
    const { least, greatest } = this.machine.truth(stage);
    const tight = of.element.kind === "gear-pair" ? least < of.limits.lo / 2 : greatest > 1.5 * of.limits.hi;
    if (tight) this.#damage("ran-outside", stage);
  }

  #found(stage: number, part: Renewal | null): void {
    const cause = this.practice.knock?.cause;
    if (cause && (cause.stage !== stage || partOf(cause.part) !== part)) this.#damage("wrong-part-blamed", stage);
  }

  #damage(what: PracticeDamage["what"], stage: number | null): void {
    const key = `${what} ${stage}`;
    const known = this.#times.get(key);
    if (known) known.times++;
    else this.#times.set(key, { what, stage, times: 1 });
  }
}
