import type { Entry, RoundResult } from "~/core/logbook";
import { formatNumber } from "~/core/quantity";
import type { StageAdjuster } from "~/data/queries/stages";
import { stateWord } from "~/ui/state-mark";
import { amountWords } from "./amount";
import { verdictState } from "./state";

export const rangeWords = (min: number, max: number, decimals = 2): string =>
  formatNumber(min, decimals) === formatNumber(max, decimals)
    ? formatNumber(min, decimals)
    : `${formatNumber(min, decimals)} to ${formatNumber(max, decimals)}`;

const phaseWords = { "as-found": "As found", set: "While setting", check: "Check round" } as const;

const resultWords = (result: RoundResult) =>
  `${rangeWords(result.minMm, result.maxMm)} mm, ${stateWord[verdictState[result.verdict]]}${result.fits ? "" : ", wider than its limits"}`;

/** An entry in a line: what was done, and what came of it. */
export function entryWords(entry: Entry, adjuster?: StageAdjuster): { title: string; detail: string } {
  switch (entry.kind) {
    case "job-opened":
      return { title: "Job opened", detail: entry.body.reason };
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
      return { title: `${phaseWords[phase]}, ${count}`, detail: resultWords(result) };
    }
    case "move": {
      const { amount, unit, did, note } = entry.body;
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
        detail: [did === "so" ? "As advised" : "Otherwise than advised", note].filter(Boolean).join(". "),
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
      const { asFound, asLeft } = entry.body.record;
      const from = asFound ? `${rangeWords(asFound.minMm, asFound.maxMm)} as found` : "nothing as found";
      const to = asLeft ? `${rangeWords(asLeft.minMm, asLeft.maxMm)} mm as left` : "not read as left";
      return { title: "Signed", detail: [`${from}, ${to}`, entry.body.comment].filter(Boolean).join(". ") };
    }
    case "correction":
      return { title: entry.body.voids ? "Correction: does not count" : "Correction", detail: entry.body.text };
  }
}
