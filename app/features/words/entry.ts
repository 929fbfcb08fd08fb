import { formatNumber } from "~/app/features/words/figure";
import type { Reader } from "~/app/features/words/reader";
import type { MoveUnit } from "~/core/advice";
import {
  type Bodies,
  type Entry,
  feltOf,
  type RoundResult,
  type RunOutcome,
  type Said,
  type SignedRecord,
  sameTeeth,
} from "~/core/logbook";
import type { Stage, StageAdjuster } from "~/core/records";
import { frameOf, type StageElement } from "~/core/stages";
import { adjusterInGear } from "~/operations/stage-as-read";
import { stateWord } from "~/ui/state-mark";
import { leavesText, piecesText } from "../stacks/stack-words";
import { movedWords } from "./amount";
import { capital, lowered } from "./count";
import { feltWords } from "./feel";
import { measuredWords } from "./measured";
import { notedWords } from "./noted";
import { partOffWords, partOnWords, partScrewsWords, partWorkWords, seatWords, turnedWords } from "./parts";
import { printEnds, printMoveWords } from "./print";
import { axisRunWords, unprovenWords } from "./proof";
import { judgedIn, placeWords, sideIn } from "./quantity";
import { sideWords } from "./quantity-names";
import { outstandingWords, runName, runShows, runVerdictWords } from "./run";
import { shaftWords } from "./shafts";
import { shiftWords } from "./shift";
import { lengthWords } from "./spoken";
import { shortCautions, verdictState } from "./state";
import { sweepCauseWords, sweepWords } from "./sweep";
import { causeName, partWords, suspectStateWords, symptomDetail, symptomTitle, testWords } from "./symptom";
import { dateWords } from "./times";
import { torqueWords } from "./torque";
import { trialWords } from "./trial";
import { greasedWords, lookedWords } from "./upkeep";

const unknownAdjuster = { adjuster: null, step: 0.01, means: null, positiveWord: "plus", negativeWord: "minus" };

const phaseWords = { "as-found": "As found", set: "While setting", check: "Check round" } as const;

/** What was read, with its unit: "0.12 to 0.15 mm", "210 to 240 N". */
export function readWords(reader: Reader, result: Pick<RoundResult, "min" | "max" | "quantity">): string {
  const { range, unit } = judgedIn(reader, result.quantity);
  return `${range(result.min, result.max)} ${unit}`;
}

/** A side quantity with its name: "End float 0.04 to 0.06 mm". */
export function sideValueWords(reader: Reader, body: Bodies["side"]): string {
  const { range, unit } = sideIn(reader, body.quantity);
  return `${sideWords[body.quantity]} ${range(body.min, body.max)} ${unit}`;
}

/** What an entry's words need to know of its stage. */
export type StageOfEntry = { adjuster: StageAdjuster; geometry: Pick<Stage["geometry"], "element"> };

const placeIn = (element: StageElement | undefined, place: number): string =>
  element ? placeWords(frameOf(element), place) : `tooth ${place}`;

const resultWords = (reader: Reader, result: RoundResult) =>
  `${result.gear ? `${result.gear}: ` : ""}${readWords(reader, result)}, ${result.verdict ? stateWord[verdictState[result.verdict]] : "not judged"}${result.holds === "too-wide" ? ", wider than its limits" : ""}`;

const overdueWords = (reader: Reader, { overdue }: { overdue?: string }): string =>
  overdue ? `; an instrument was overdue, since ${dateWords(reader, overdue)}` : "";

/** What somebody acknowledged, word for word; of an entry that kept the codes alone, what they stand for. */
const saidWords = (said: readonly Said[]): string =>
  said.length === 0
    ? "Nothing was acknowledged"
    : `Acknowledged: ${said.map(({ key, text }) => text || shortCautions[key] || key).join("; ")}`;

function isolatedWords({ lock, noLock, acknowledged, notAcknowledged }: Bodies["isolated"]): {
  title: string;
  detail: string;
} {
  const not = notAcknowledged.map(({ text }) => text).join("; ");
  return {
    title: lock === null ? `Isolated, no lock: ${noLock?.text ?? "not said how"}` : `Isolated, lock ${lock}`,
    detail: [saidWords(acknowledged), not && `Not acknowledged: ${not}`].filter(Boolean).join(". "),
  };
}

export const outcomeWords: Record<RunOutcome, string> = {
  ran: "ran as it should",
  stalled: "stalled",
  stopped: "was stopped",
};

/** An entry in a line: what was done, and what came of it. */
export function entryWords(reader: Reader, entry: Entry, stage?: StageOfEntry): { title: string; detail: string } {
  const element = stage?.geometry.element;
  switch (entry.kind) {
    case "job-opened":
      return { title: entry.body.firstBuild ? "First build" : "Job opened", detail: entry.body.reason };
    case "isolated":
      return isolatedWords(entry.body);
    case "live":
      return {
        title: "Live",
        detail: [
          saidWords(entry.body.acknowledged),
          entry.body.saw.length > 0 ? `Seen then: ${entry.body.saw.join(", ")}` : "",
          entry.body.notKnown.length > 0 ? `Not known then: ${entry.body.notKnown.join(", ")}` : "",
        ]
          .filter(Boolean)
          .join(". "),
      };
    case "round": {
      const { phase, result } = entry.body;
      const count = result.count === 1 ? placeIn(element, entry.readings[0]?.tooth ?? 1) : `${result.count} readings`;
      const onwards = entry.namesEntry ? ", gone on with" : "";
      const detail = `${resultWords(reader, result)}${overdueWords(reader, entry.body)}`;
      return { title: `${phaseWords[phase]}, ${count}${onwards}`, detail };
    }
    case "paper-round": {
      const { result, keptBy, movedAfter } = entry.body;
      const after = {
        no: "nothing was moved after it",
        yes: "it was set after it",
        unknown: "whether it was set after it is not known",
      };
      return {
        title: `From paper, ${result.count} ${result.count === 1 ? "reading" : "readings"}`,
        detail: `${resultWords(reader, result)}; kept by ${keptBy}; ${after[movedAfter]}`,
      };
    }
    case "side": {
      const { verdict, note } = entry.body;
      const said = verdict ? stateWord[verdictState[verdict]] : "no limits to judge it by";
      return {
        title: sideValueWords(reader, entry.body),
        detail: [`${said}${overdueWords(reader, entry.body)}`, note].filter(Boolean).join(". "),
      };
    }
    case "feel": {
      const { phase, method, here } = entry.body;
      const said = feltWords(feltOf(entry.body, element));
      const marked = here ? `The tight spot painted at ${placeIn(element, here)}` : "";
      return {
        title: `${phaseWords[phase]}, ${method}, ${handWhere(element, entry.body)}`,
        detail: [said, handDetail(reader, entry.body), marked].filter(Boolean).join(". "),
      };
    }
    case "loose-thing": {
      const { thing, state, where } = entry.body;
      return { title: `${capital(thing)} ${state}`, detail: where };
    }
    case "part-off":
      return partOffWords(reader, entry.body);
    case "part-on":
      return partOnWords(entry.body);
    case "part-screws":
      return partScrewsWords(entry.body);
    case "turned":
      return turnedWords(entry.body);
    case "part-work":
      return partWorkWords(reader, entry.body);
    case "shaft":
      return shaftWords(reader, entry.body);
    case "measured":
      return measuredWords(reader, entry.body);
    case "seat":
      return seatWords(reader, entry.body);
    case "greased":
      return greasedWords(reader, entry.body);
    case "looked":
      return lookedWords(entry.body);
    case "shift":
      return shiftWords(reader, entry.body);
    case "option": {
      const { name, assembly, outcome, why, measuredRpm } = entry.body;
      const said = { open: "stands beside the others", chosen: "chosen", lost: "lost" }[outcome];
      const ran = measuredRpm === null ? "" : `ran at ${formatNumber(reader, measuredRpm, 1)} rpm`;
      return {
        title: `Option ${assembly ? `for ${assembly}, ` : ""}${name}: ${said}`,
        detail: [why, ran].filter(Boolean).join(". "),
      };
    }
    case "trial":
      return trialWords(reader, entry.body);
    case "sweep": {
      const { gear, points, unit, cause } = entry.body;
      const forces = points.map(({ force }) => force);
      const [least, most] = [Math.min(...forces), Math.max(...forces)].map((force) => formatNumber(reader, force, 1));
      return {
        title: `Force raised ${least} to ${most} ${unit}${gear ? `, ${gear}` : ""}, ${points.length} steps`,
        detail: [sweepWords(reader, entry.body), cause ? sweepCauseWords[cause] : ""].filter(Boolean).join(". "),
      };
    }
    case "move": {
      const { amount, unit, did, advised, note, feelerMm, stack, gear } = entry.body;
      const adjuster =
        gear === undefined ? stage?.adjuster : stage && adjusterInGear(stage.adjuster, stage.geometry.element, gear);
      const moved = movedWords(reader, adjuster ?? unknownAdjuster, amount, unit as MoveUnit);
      return {
        title: `${adjuster?.name ?? "Moved"} ${moved}`,
        detail: [
          // Set by hand nothing was advised by number.
          advised ? (did === "so" ? "As advised" : "Otherwise than advised") : "",
          stack ? `${capital(piecesText(reader, stack.now))} in it now, ${piecesText(reader, stack.was)} before` : "",
          stack?.other
            ? `On the other side ${piecesText(reader, stack.other.now)} now, ${piecesText(reader, stack.other.was)} before`
            : "",
          feelerMm ? `Set on a feeler of ${leavesText(reader, feelerMm)}` : "",
          note,
        ]
          .filter(Boolean)
          .join(". "),
      };
    }
    case "clamp": {
      const { clamp, of, state, torqueNm, pass, passes } = entry.body;
      const torque = torqueNm === null ? "" : `${torqueWords(reader, torqueNm)}, pass ${pass} of ${passes}`;
      return { title: `Clamp ${clamp} of ${of} ${state}`, detail: torque };
    }
    case "proof": {
      const { way, outcome, direction, speed, gear, planned, move = "run", load = null, judged } = entry.body;
      const name = { name: planned?.name ?? "", move, direction, speed, gear: gear ?? null, load };
      const measured = [
        outcome === null || outcome === "ran" ? "" : outcomeWords[outcome],
        judged?.verdict ? runVerdictWords[judged.verdict] : "",
        ...runShows(reader, entry.body).filter((shown) => shown !== entry.body.noise),
        axisRunWords(reader, entry.body),
        entry.body.noise,
      ];
      return {
        title: planned
          ? runName(reader, name)
          : [`${way === "by-hand" ? "Turned by hand" : "Run"} ${direction ?? ""}`.trim(), speed, gear]
              .filter(Boolean)
              .join(", "),
        detail: measured.filter(Boolean).join(", "),
      };
    }
    case "symptom":
      return { title: symptomTitle(entry.body), detail: symptomDetail(reader, entry.body) };
    case "suspect":
      return {
        title: `${capital(suspectStateWords[entry.body.state])}: ${entry.body.cause ? lowered(causeName(entry.body.cause, entry.body.ownCause)) : (entry.body.beside ?? partWords[entry.body.part ?? "whole"])}`,
        detail: [
          entry.body.cause ? (entry.body.beside ?? "") : "",
          entry.body.test ? testWords[entry.body.test] : "",
          entry.body.note,
        ]
          .filter(Boolean)
          .join(". "),
      };
    case "note":
      return { title: "Note", detail: entry.body.text };
    case "countersignature":
      return { title: "Countersigned", detail: entry.body.comment };
    case "signature": {
      return {
        title: "Signed",
        detail: [
          signedWords(reader, entry.body.record),
          unprovenWords(entry.body.unproven),
          outstandingWords(reader, entry.body.outstanding ?? []),
          entry.body.comment,
        ]
          .filter(Boolean)
          .join(". "),
      };
    }
    case "correction":
      return { title: entry.body.voids ? "Correction: does not count" : "Correction", detail: entry.body.text };
    case "open-point":
      return { title: "Open point", detail: entry.body.text };
    case "point-closed":
      return { title: "Open point closed", detail: entry.body.text };
    case "usage": {
      const { reading, unit, total, newMeter } = entry.body;
      return {
        title: `Meter ${formatNumber(reader, reading, 0)} ${unit}`,
        detail: newMeter ? `New meter; ${formatNumber(reader, total, 0)} ${unit} in all` : "",
      };
    }
    case "change":
      return {
        title: entry.body.exchange
          ? `Gears exchanged: ${entry.body.exchange.now.join(" : ")} in for ${entry.body.exchange.was.join(" : ")}`
          : entry.body.what === "moved-along"
            ? "Moved along"
            : `Changed: ${changedWords[entry.body.what]}`,
        detail: [
          entry.body.exchange ? exchangeWords(reader, entry.body.exchange) : "",
          entry.body.text,
          ...entry.body.warnings.map((warning) => `Noted: ${notedWords(reader, warning)}`),
        ]
          .filter(Boolean)
          .join(". "),
      };
    case "attachment":
      return {
        title: entry.body.mediaType.startsWith("image/") ? "Photograph" : "File",
        detail: entry.body.caption || entry.body.name,
      };
    case "computation":
      return { title: `Kept from the bench: ${entry.body.tool}`, detail: entry.body.text };
    case "plan":
      return { title: plannedTitle(reader, entry.body), detail: entry.body.text };
    case "assigned":
      return {
        title: entry.body.to ? `Given to ${entry.body.to.name}` : "Nobody’s any more",
        detail: entry.body.note,
      };
  }
}

function plannedTitle(reader: Reader, { date, atUsage }: Bodies["plan"]): string {
  const by = [
    date ? `for ${dateWords(reader, date)}` : "",
    atUsage === undefined ? "" : `for when the meter shows ${formatNumber(reader, atUsage, 0)} in all`,
  ].filter(Boolean);
  return by.length > 0 ? `Planned ${by.join(", and ")}` : "Nothing planned any more";
}

const changedWords = {
  machine: "the machine",
  stage: "the stage",
  geometry: "geometry",
  adjuster: "adjuster",
  limits: "limits",
  retired: "out of service",
  "in-service": "in service again",
  "drive-line": "the drive line",
  "moved-along": "moved along",
  guide: "a guide",
  upkeep: "what is greased and looked at",
  shaft: "a shaft",
  "proof-plan": "what proves it",
} as const;

/** What an exchange of gears did, and what was looked at and what not. */
function exchangeWords(reader: Reader, of: NonNullable<Bodies["change"]["exchange"]>): string {
  const percent = (value: number) => `${value > 0 ? "+" : ""}${formatNumber(reader, value, 1)} %`;
  const centres =
    Math.abs(of.moveMm) < 5e-4
      ? ""
      : `, centres ${lengthWords(reader, Math.abs(of.moveMm), 3)} ${of.moveMm > 0 ? "apart" : "together"}`;
  const looked = of.acknowledged.map(({ text }) => text).join(", ");
  const open = of.notAcknowledged.map(({ text }) => text).join(", ");
  return [
    `Speed ${percent(of.speedPercent)}, torque ${percent(of.torquePercent)}${centres}`,
    looked,
    open && `Not said: ${open}`,
  ]
    .filter(Boolean)
    .join(". ");
}

/** Where it was felt or tried by hand, or with what. */
function handWhere(element: StageElement | undefined, { places, paper, print, pins }: Bodies["feel"]): string {
  if (print) return print.prints.length === 2 ? "both flanks" : `${print.prints[0]?.flank ?? "one"} flank alone`;
  if (pins)
    return [pins.goes && `${pins.goes} goes`, pins.stops && `${pins.stops} does not`].filter(Boolean).join(", ");
  const at = (paper?.prints ?? places).map(({ tooth }) => tooth);
  return at.length === 1 ? placeIn(element, at[0] ?? 1) : `${at.length} places`;
}

/** What it was judged by, and what a print asked for. */
function handDetail(reader: Reader, { paper, print, magnetSteps }: Bodies["feel"]): string {
  const magnets = magnetSteps ? `motor coupled, ${magnetSteps} magnet steps a turn` : "";
  if (paper) {
    const prints = paper.prints.map(({ tooth, print: seen }) => `${tooth} ${seen}`).join(", ");
    const stands = paper.sheet
      ? `; a sheet of ${lengthWords(reader, paper.sheet.thicknessMm, 2)} stands for ${lengthWords(reader, paper.sheet.circumferentialMm, 3)} ± ${lengthWords(reader, paper.sheet.expandedUncertaintyMm, 3)}`
      : "; the sheet was not measured";
    return `${prints}${stands}`;
  }
  if (print) return print.moves.map((move) => printMoveWords(reader, move, printEnds[print.kind])).join(" ");
  return magnets;
}

function signedWords(reader: Reader, { gears, ...all }: SignedRecord): string {
  return gears && gears.length > 0
    ? gears.map((read) => `${read.gear}: ${leftAndFound(reader, read)}`).join("; ")
    : leftAndFound(reader, all);
}

type FoundAndLeft = Pick<SignedRecord, "asFound" | "asLeft" | "asLeftByFeel">;

function leftAndFound(reader: Reader, { asFound, asLeft, asLeftByFeel }: FoundAndLeft): string {
  // A gear exchanged in between: what was found is what the old one read.
  const exchanged = asFound?.teeth && asLeft && !sameTeeth(asFound.teeth, asLeft.teeth);
  const found = exchanged ? ` with ${asFound.teeth?.join(" : ")} teeth` : "";
  const from = asFound ? `${readWords(reader, asFound)} as found${found}` : "nothing measured as found";
  const to = asLeft
    ? `${readWords(reader, asLeft)} as left`
    : asLeftByFeel
      ? feltWords(asLeftByFeel)
      : "not read as left";
  return `${from}, ${to}`;
}
