import type { Reader } from "~/app/features/words/reader";
import type { EntryOf } from "~/core/logbook";
import { torqueWords } from "./torque";

const stateVerb = {
  eased: "Eased",
  started: "Started by hand",
  snug: "Tightened",
  firm: "Tightened",
  dressed: "Dressed with compound",
} as const;

/** What was done to the clamps, a line for each pass in the order in which it was done: "Pass 1 of 2, 24 N·m: 1, 4, 2, 3". */
export function clampLines(reader: Reader, touches: readonly EntryOf<"clamp">[]): string[] {
  const runs: { of: string; clamps: number[] }[] = [];
  for (const { body } of touches) {
    const { state, pass, passes, torqueNm, clamp } = body;
    const tightening = state === "snug" || state === "firm";
    const torque = torqueNm === null ? "" : `, ${torqueWords(reader, torqueNm)}`;
    const of = tightening
      ? `Pass ${pass} of ${passes}${torque}`
      : `${stateVerb[state]}${state === "dressed" ? torque : ""}`;
    const last = runs[runs.length - 1];
    if (last?.of === of) last.clamps.push(clamp);
    else runs.push({ of, clamps: [clamp] });
  }
  return runs.map(({ of, clamps }) => `${of}: ${clamps.join(", ")}`);
}
