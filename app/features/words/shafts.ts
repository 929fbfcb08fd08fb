import type { Reader } from "~/app/features/words/reader";
import type { Verdict } from "~/core/limits";
import type { Bodies } from "~/core/logbook";
import type { PlaneWanted, ShaftHold, ShaftPartRule } from "~/core/shafts";
import { capital } from "./count";
import { lengthWords, spoken } from "./spoken";

/** What is to be seen to as a part goes on. */
export const ruleWords: Record<ShaftPartRule, string> = {
  "inner-race-only": "spacers touch the inner race only",
  "press-lightly": "a light press, square, on the race that it is pressed by",
  "screws-on-flats": "set screws bear on the flats, with compound",
  "key-without-rock": "the key in, without rock",
  "pin-home": "the pin home",
  "collar-a-hair-back": "pressed lightly against the assembly, then slackened a hair until it turns freely",
  "bush-turns-on-shaft": "it turns on the shaft, not in its seat",
};

export const holdWords: Record<ShaftHold, string> = {
  nothing: "nothing",
  "press fit": "press fit",
  "set screws": "set screws on flats",
  key: "key",
  pin: "pin",
  collar: "collar",
};

/** What a window says of a width: never more than its uncertainty allows. */
export const standsWords = (verdict: Verdict | null): string =>
  verdict === null
    ? "not judged, as not every width was measured with an instrument that was named"
    : verdict === "conforms"
      ? "inside"
      : verdict === "does-not-conform"
        ? "outside"
        : "not to be told with this instrument";

/** "0.12 mm too far to the right". */
export const offWords = (reader: Reader, errorMm: number): string =>
  Math.abs(errorMm) < 0.0005
    ? "where it must"
    : `${lengthWords(reader, Math.abs(errorMm), 3)} too far to the ${errorMm > 0 ? "right" : "left"}`;

/** Why it is not known where a plane must stand. */
export const unknownPlaneWords: Record<Exclude<PlaneWanted["why"], null>, string> = {
  "other-shaft-gone": "the shaft that it meets is not here any more",
  "faces-not-tied": "nobody said where the left faces of both shafts stand",
  "other-plane-not-known": "the other shaft was not fitted yet, and nothing is drawn of that plane",
};

/** What lies in the gaps: "behind Bearing 2 × 0.500, one made of 12.850". */
export function laidWords(reader: Reader, { laid, parts }: Pick<Bodies["shaft"], "laid" | "parts">): string {
  const { figure, unit } = spoken(reader, "mm", 3);
  const behind = (after: string) =>
    after === "left-face" ? "at the left face" : `behind ${parts.find(({ key }) => key === after)?.name ?? after}`;
  return laid
    .map(
      ({ after, spacers }) =>
        `${behind(after)} ${spacers
          .map(({ widthMm, count, made }) =>
            made ? `one made of ${figure(widthMm)}` : `${count > 1 ? `${count} × ` : ""}${figure(widthMm)}`,
          )
          .join(" + ")} ${unit}`,
    )
    .join("; ");
}

const withU = (reader: Reader, u: number | null): string => (u === null ? "" : ` ± ${lengthWords(reader, u, 3)}`);

/** The end float of a shaft, as it was read or is reckoned, and what its window says. */
export function floatWords(reader: Reader, { endFloat }: Pick<Bodies["shaft"], "endFloat">): string {
  const { readMm, reckonedMm, verdict, expandedUncertaintyMm, readExpandedUncertaintyMm } = endFloat;
  if (readMm === null && reckonedMm < 0) return `the parts overlap the faces by ${lengthWords(reader, -reckonedMm, 3)}`;
  return readMm === null
    ? `end float ${lengthWords(reader, reckonedMm, 3)}${withU(reader, expandedUncertaintyMm)} by its widths, not read: ${standsWords(verdict)}`
    : `end float ${lengthWords(reader, readMm, 3)}${withU(reader, readExpandedUncertaintyMm)} read: ${standsWords(verdict)}`;
}

/** Whether what was read and what was reckoned agree; empty where that cannot be told. */
export function closesWords(
  reader: Reader,
  { endFloat: { closes, apartMm } }: Pick<Bodies["shaft"], "endFloat">,
): string {
  if (closes !== false || apartMm === null) return "";
  return `the readings do not close: ${lengthWords(reader, Math.abs(apartMm), 3)} ${apartMm > 0 ? "more" : "less"} float than the widths leave; a part is not home, or a width is wrong`;
}

export function shaftWords(reader: Reader, body: Bodies["shaft"]): { title: string; detail: string } {
  const off = body.planes.filter(({ verdict }) => verdict !== "conforms");
  const unmeasured = body.parts.filter(({ typed }) => typed === null);
  const undone = body.seenTo.filter(({ done }) => !done);
  const nameOf = (key: string) => body.parts.find((part) => part.key === key)?.name ?? key;
  return {
    title: `${capital(body.shaft.name)} ${body.phase}: ${floatWords(reader, body)}`,
    detail: [
      closesWords(reader, body),
      ...off.map(
        ({ name, errorMm, verdict }) => `${name}: its plane is ${offWords(reader, errorMm)}, ${standsWords(verdict)}`,
      ),
      body.planes.length > 0 && off.length === 0 && "All planes inside",
      laidWords(reader, body),
      unmeasured.length > 0 && `Not measured, as drawn: ${unmeasured.map(({ name }) => name).join(", ")}`,
      undone.length > 0 &&
        `Not seen to: ${undone.map(({ key, rule }) => `${nameOf(key)}, ${ruleWords[rule]}`).join("; ")}`,
      body.instrument ? body.instrument.name : "instrument not said",
      body.overdue && `The instrument was overdue, since ${body.overdue}`,
      body.note,
    ]
      .filter(Boolean)
      .map((part) => capital(String(part)))
      .join(". "),
  };
}
