import type { Entry, FeelSays, RoundResult, SignedRecord } from "~/core/logbook";
import { formatNumber } from "~/core/quantity";
import type { StageAdjuster } from "~/data/queries/stages";
import { stateWord } from "~/ui/state-mark";
import { amountWords } from "./amount";
import { capital } from "./count";
import { verdictState } from "./state";
import { dateWords } from "./times";

export const rangeWords = (min: number, max: number, decimals = 2): string =>
  formatNumber(min, decimals) === formatNumber(max, decimals)
    ? formatNumber(min, decimals)
    : `${formatNumber(min, decimals)} to ${formatNumber(max, decimals)}`;

const phaseWords = { "as-found": "As found", set: "While setting", check: "Check round" } as const;

export const feelSaysWords: Record<FeelSays, string> = {
  right: "right by feel",
  "leans-loose": "leans to loose, by feel",
  "leans-tight": "leans to tight, by feel",
  "too-loose": "too loose, by feel",
  "too-tight": "too tight, by feel",
  "not-round": "binds and knocks in one turn: not round, by feel",
};

const resultWords = (result: RoundResult) =>
  `${rangeWords(result.minMm, result.maxMm)} mm, ${stateWord[verdictState[result.verdict]]}${result.fits ? "" : ", wider than its limits"}`;

/** An entry in a line: what was done, and what came of it. */
export function entryWords(entry: Entry, adjuster?: StageAdjuster): { title: string; detail: string } {
  switch (entry.kind) {
    case "job-opened":
      return { title: entry.body.firstBuild ? "First build" : "Job opened", detail: entry.body.reason };
    case "isolated":
      return { title: `Isolated, lock ${entry.body.lock}`, detail: "Proved dead" };
    case "live":
      return {
        title: "Live",
        detail:
          entry.body.saw.length === 0 ? "All clear acknowledged" : `Acknowledged although ${entry.body.saw.join(", ")}`,
      };
    case "round": {
      const { phase, result } = entry.body;
      const count = result.count === 1 ? `tooth ${entry.readings[0]?.tooth ?? ""}` : `${result.count} readings`;
      const onwards = entry.namesEntry ? ", gone on with" : "";
      return { title: `${phaseWords[phase]}, ${count}${onwards}`, detail: resultWords(result) };
    }
    case "feel": {
      const { phase, method, places, says } = entry.body;
      const where = places.length === 1 ? `tooth ${places[0]?.tooth}` : `${places.length} places`;
      return { title: `${phaseWords[phase]}, ${method}, ${where}`, detail: feelSaysWords[says] };
    }
    case "loose-thing": {
      const { thing, state, where } = entry.body;
      return { title: `${capital(thing)} ${state}`, detail: where };
    }
    case "move": {
      const { amount, unit, did, note, feelerMm } = entry.body;
      const word = adjuster
        ? amount > 0
          ? adjuster.positiveWord
          : adjuster.negativeWord
        : amount > 0
          ? "plus"
          : "minus";
      const size = amountWords(amount, unit as never, adjuster?.step ?? 0.01);
      return {
        title: `${adjuster?.name ?? "Moved"} ${size} ${word}`,
        detail: [
          did === "so" ? "As advised" : "Otherwise than advised",
          feelerMm ? `Set on a feeler of ${feelerMm.map((leaf) => formatNumber(leaf, 2)).join(" + ")} mm` : "",
          note,
        ]
          .filter(Boolean)
          .join(". "),
      };
    }
    case "clamp": {
      const { clamp, of, state, torqueNm, pass, passes } = entry.body;
      const torque = torqueNm === null ? "" : `${formatNumber(torqueNm, 0)} N·m, pass ${pass} of ${passes}`;
      return { title: `Clamp ${clamp} of ${of} ${state}`, detail: torque };
    }
    case "proof": {
      const { direction, speed, currentA, temperatureC, noise } = entry.body;
      const measured = [
        currentA === null ? "" : `${formatNumber(currentA, 1)} A`,
        temperatureC === null ? "" : `${formatNumber(temperatureC, 0)} °C`,
        noise,
      ];
      return { title: `Run ${direction}, ${speed}`, detail: measured.filter(Boolean).join(", ") };
    }
    case "note":
      return { title: "Note", detail: entry.body.text };
    case "signature": {
      return {
        title: "Signed",
        detail: [signedWords(entry.body.record), entry.body.comment].filter(Boolean).join(". "),
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
        title: `Meter ${formatNumber(reading, 0)} ${unit}`,
        detail: newMeter ? `New meter; ${formatNumber(total, 0)} ${unit} in all` : "",
      };
    }
    case "change":
      return {
        title: `Changed: ${changedWords[entry.body.what]}`,
        detail: [entry.body.text, ...entry.body.warnings.map((warning) => `Noted: ${warning}`)]
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
      return entry.body.date
        ? { title: `Planned for ${dateWords(entry.body.date)}`, detail: entry.body.text }
        : { title: "Nothing planned any more", detail: entry.body.text };
  }
}

const changedWords = {
  machine: "the machine",
  stage: "the stage",
  geometry: "geometry",
  adjuster: "adjuster",
  limits: "limits",
  retired: "out of service",
  "in-service": "in service again",
} as const;

function signedWords({ asFound, asLeft, asLeftByFeel }: SignedRecord): string {
  const from = asFound ? `${rangeWords(asFound.minMm, asFound.maxMm)} as found` : "nothing measured as found";
  const to = asLeft
    ? `${rangeWords(asLeft.minMm, asLeft.maxMm)} mm as left`
    : asLeftByFeel
      ? feelSaysWords[asLeftByFeel]
      : "not read as left";
  return `${from}, ${to}`;
}
