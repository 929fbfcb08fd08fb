import { moveWords } from "~/app/features/words/amount";
import { countWords } from "~/app/features/words/count";
import { formatNumber } from "~/app/features/words/figure";
import { placeWords, stageUnit } from "~/app/features/words/quantity";
import type { Reader } from "~/app/features/words/reader";
import type { ExpertStep, Faults, LessonKey, PracticeDamage, Renewal } from "~/core/practice";
import type { Stage } from "~/core/records";
import { frameOf } from "~/core/stages";

type LessonWords = { name: string; told: string; learnt: string };

/** What a lesson is called, what is told of its machine, and what one has learnt by it. All of it common practice. */
export const lessonWords: Record<LessonKey, LessonWords> = {
  "first-round": {
    name: "The first round",
    told: "A gear pair that rattles since it was put together. Read it, set it, read it again, sign.",
    learnt:
      "No gear is quite round: read all the way round, take the place that stands off once more before you believe it, and move by the whole round, never by one reading.",
  },
  "loose-bearing": {
    name: "It never reads twice alike",
    told: "A gear pair that somebody sets at every visit, and at the next it reads otherwise.",
    learnt:
      "Read one place five times before anything is set. What does not come again is not the mesh: hold the shaft, and where that does not help its bearing comes first.",
  },
  "worn-screw": {
    name: "The screw that does less",
    told: "A toothed belt that jumps at the start. Its adjusting screw has been in for years.",
    learnt:
      "A worn screw does less than its thread says, and nothing at all at first when it is turned back: go by what it has been learnt to do, and come to the place from one side.",
  },
  "warm-steps": {
    name: "Warm from work",
    told: "A gear pair behind a stepping motor. It rattles in the morning; now it was stopped a few minutes ago.",
    learnt:
      "Limits are meant for a drive that is cold unless they say otherwise. Let it cool, and hold the shaft by a clamp: a motor’s magnets hold only at their rests.",
  },
  knock: {
    name: "A knock in the line",
    told: "A knock, regular as a clock. Every stage was read last week, and is inside. Find the part by its rhythm.",
    learnt:
      "How often it knocks says which shaft; a mark and a look say which part of it. Nothing is adjusted, and nothing renewed, before it was seen.",
  },
  drawn: {
    name: "Whatever comes",
    told: "Anything of the lessons may be hidden in it, or nothing but its runout.",
    learnt: "The same order each time: does it repeat, is it cold, is it round; then the move; then the proof.",
  },
};

export const renewalWords: Record<Renewal, string> = {
  bearing: "the bearing",
  adjuster: "the adjusting screw",
  driver: "the driving wheel",
  driven: "the driven wheel",
  loop: "the belt or chain",
};

/** What would have cost a real machine something. */
export const damageWords: Record<PracticeDamage["what"], string> = {
  "left-outside": "Left outside of its limits",
  "pressed-together": "Gears pressed into one another: teeth and bearings carry that from then on",
  "ran-outside": "Run under power far too tight",
  "loose-bearing-left": "Left with its bearing still loose",
  "set-warm": "Read last while it was warm from work",
  "bad-reading-trusted": "Moved by a reading that had slipped, without taking it again",
  "reading-not-taken": "Figures typed that no instrument has shown",
  "sound-part-renewed": "A sound part renewed",
  "wrong-part-blamed": "The wrong part said to be found",
  "knock-left": "Left while it still knocks",
};

/** What was hidden, told when it is over. */
export function hiddenWords(reader: Reader, stage: Stage, faults: Faults, response: number): string[] {
  const unit = stageUnit(reader, stage.geometry.element);
  const figure = (value: number) => unit.said(value);
  const said: string[] = [];
  if (faults.badReading)
    said.push(`reading ${faults.badReading.nth} slipped by ${figure(Math.abs(faults.badReading.off))}`);
  if (faults.bearingPlay) said.push(`its bearing gave ${figure(faults.bearingPlay)}`);
  if (faults.lostMotionMm)
    said.push(`its screw was worn: ${formatNumber(reader, faults.lostMotionMm, 2)} mm were lost at each reversal`);
  if (faults.lostMotionMm && response < 0.95)
    said.push(`its screw did ${formatNumber(reader, 100 * response, 0)} % of what its thread says`);
  if (faults.warm)
    said.push(
      `it was ${formatNumber(reader, faults.warm.aboveK, 0)} K warmer than the hall, which closed it by ${figure(Math.abs(faults.warm.perK * faults.warm.aboveK))}`,
    );
  if (faults.magnetRest) said.push(`the motor’s magnets let it lie anywhere within ${figure(faults.magnetRest)}`);
  return said;
}

/** A step of an expert's way, as one says it. */
export function expertWords(reader: Reader, step: ExpertStep, stages: readonly Stage[]): string {
  const [first] = stages;
  if (!first) return "";
  const unit = stageUnit(reader, first.geometry.element);
  const figure = (value: number) => unit.said(value);
  const range = (least: number, greatest: number) => `${unit.range(least, greatest)} ${unit.unit}`;
  const place = (at: number) => placeWords(frameOf(first.geometry.element), at);
  const moved = (amount: number) => moveWords(reader, first.adjuster, amount);
  const of = (stage: number) => (stages.length > 1 ? ` of ${stages[stage]?.name ?? "a stage that is gone"}` : "");
  switch (step.does) {
    case "feels-temperature":
      return `Reads the housing: ${formatNumber(reader, step.tempC, 0)} °C.`;
    case "waits":
      return `Lets it cool for ${step.minutes} minutes.`;
    case "clamps":
      return "Uncouples the motor and holds the shaft by a clamp.";
    case "repeats":
      return `Reads ${place(step.place)} five times: ${range(Math.min(...step.values), Math.max(...step.values))}${step.repeatable ? ", so it repeats." : ". That does not repeat."}`;
    case "reads-round":
      return `Reads ${countWords(step.places)} places round: ${range(step.least, step.greatest)}.`;
    case "reads-again":
      return `Takes ${place(step.place)} once more, which stood off: ${figure(step.was)}, and then ${figure(step.now)}.`;
    case "moves":
      return `Moves it ${moved(step.amount)}.`;
    case "comes-back":
      return `Goes past it, ${moved(step.amount)}, and comes back ${moved(step.back)}, so that the thread lies as before.`;
    case "listens":
      return `Taps along: ${formatNumber(reader, step.perMinute, 1)} a minute. The guide says what comes round as often.`;
    case "looks":
      return `Looks at ${renewalWords[step.part]}${of(step.stage)}: ${step.found ? "there it is." : "sound."}`;
    case "renews":
      return `Has ${renewalWords[step.part]}${of(step.stage)} renewed.`;
  }
}
