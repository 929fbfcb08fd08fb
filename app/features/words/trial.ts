import type { Bodies, TriedPart } from "~/core/logbook";
import { capital } from "./count";
import type { Reader } from "./reader";
import { lengthWords } from "./spoken";

const outcomeWords: Record<Bodies["trial"]["outcome"], string> = {
  tried: "tried",
  fitted: "fitted",
  dropped: "dropped",
};

/** A try of a part: which version, how it was made and how it felt. */
export function trialWords(reader: Reader, body: Bodies["trial"]): { title: string; detail: string } {
  const { part, version, making, drawnMm, madeMm, felt, play, smooth, burr, outcome, why } = body;
  return {
    title: `${part}, ${version}: ${making}, ${outcomeWords[outcome]}`,
    detail: [
      drawnMm === null ? "" : `drawn ${lengthWords(reader, drawnMm, 2)}`,
      madeMm === null ? "" : `made ${lengthWords(reader, madeMm, 2)}`,
      felt ?? "",
      play && `play ${play}`,
      smooth,
      burr === null ? "" : burr === "none" ? "no burr" : "burr taken off",
      why,
    ]
      .filter(Boolean)
      .join(", "),
  };
}

/** What is kept of a part for next time, and what comes next. */
export function triedWords(reader: Reader, { fitted, comesOutSmallerMm, series }: TriedPart): string[] {
  const said: string[] = [];
  if (fitted) {
    const { version, drawnMm, madeMm } = fitted.body;
    const sizes = [
      drawnMm === null ? "" : `${lengthWords(reader, drawnMm, 2)} drawn`,
      madeMm === null ? "" : `${lengthWords(reader, madeMm, 2)} made`,
    ].filter(Boolean);
    said.push(`Fitted is ${version}${sizes.length > 0 ? `: ${sizes.join(", ")}. The same again next time` : ""}`);
  }
  if (comesOutSmallerMm) {
    const { meanMm, of } = comesOutSmallerMm;
    const way = meanMm >= 0 ? "smaller" : "larger";
    said.push(`It comes out ${lengthWords(reader, Math.abs(meanMm), 3)} ${way} than drawn, by ${of} of them`);
  }
  if (series && series.contradictions.length > 0 && series.nextMm !== null)
    said.push(`Two tries contradict each other: try ${lengthWords(reader, series.nextMm, 2)} again`);
  else if (series && !series.done && series.nextMm !== null)
    said.push(`Next to make: ${lengthWords(reader, series.nextMm, 2)}`);
  else if (series?.done && series.chooseMm !== null && !fitted)
    said.push(`${lengthWords(reader, series.chooseMm, 2)} feels as wanted`);
  return said.map(capital);
}
