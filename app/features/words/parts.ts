import type { Reader } from "~/app/features/words/reader";
import type { TurnFeel, TurnWay } from "~/core/guides";
import { type Account, type Bodies, type PartNamed, screwName } from "~/core/logbook";
import { piecesText } from "../stacks/stack-words";
import { capital } from "./count";
import { formatNumber } from "./figure";
import { lengthWords } from "./spoken";

type Line = { title: string; detail: string };

const sentences = (...parts: (string | false | null | undefined)[]): string =>
  parts
    .filter(Boolean)
    .map((part) => capital(String(part)))
    .join(". ");

export const screwsText = (
  screws: readonly { size: string; lengthMm: number | null; count: number; washers: number }[],
) =>
  screws
    .map((set) => `${set.count} × ${screwName(set)}${set.washers > 0 ? ` with ${washersText(set.washers)}` : ""}`)
    .join(", ");
const washersText = (count: number): string => `${count} ${count === 1 ? "washer" : "washers"}`;

/** "6 of 6 screws in" or what is short. */
export const accountText = ({ out, back }: Account, what: string): string => `${back} of ${out} ${what}`;

export function partOffWords(reader: Reader, body: Bodies["part-off"]): Line {
  const { screws, conditions, fate } = body;
  const put = (screws ?? []).map(({ where }) => where).filter(Boolean);
  return {
    title: `Off: ${body.part.name}${conditions.length > 0 ? `, ${conditions.join(", ")}` : ""}`,
    detail: sentences(
      screws === null ? "screws not counted" : screws.length > 0 ? screwsText(screws) : "no screws",
      put.length > 0 && `Screws put: ${[...new Set(put)].join("; ")}`,
      fate && `To do: ${fate}`,
      body.side && `Side: ${body.side}`,
      body.facing && `Facing: ${body.facing}`,
      body.mark && `Mark: ${body.mark}`,
      spacersText(reader, body.spacers),
      body.massKg !== null && `${formatNumber(reader, body.massKg, 1)} kg`,
      body.beforeHidden && `Before it hides it: ${body.beforeHidden}`,
      body.note,
      body.guide && `By the guide ${body.guide.name}, revision ${body.guide.revision}`,
    ),
  };
}

export const raceWords = {
  inner: "inner race only",
  outer: "outer race only",
  both: "both races",
  none: "no race",
} as const;

export const spacersText = (
  reader: Reader,
  spacers: readonly { widthMm: number; count: number; race: keyof typeof raceWords }[],
): string =>
  spacers
    .map(
      ({ widthMm, count, race }) =>
        `Spacer ${count > 1 ? `${count} × ` : ""}${lengthWords(reader, widthMm, 2)}${race === "none" ? "" : `, touches ${raceWords[race]}`}`,
    )
    .join(". ");

export function partOnWords(body: Bodies["part-on"]): Line {
  const { screws, state, fresh, asItWentOn, note, guide } = body;
  return {
    title: `On: ${body.part.name}${fresh ? ", a new one" : ""}`,
    detail: sentences(
      screwsInText(screws),
      state && `screws ${state}`,
      asItWentOn,
      note,
      guide && `By the guide ${guide.name}, revision ${guide.revision}`,
    ),
  };
}

/** Of each size how many are in; of those that were counted as they came out, of how many. */
export const screwsInText = (screws: Bodies["part-on"]["screws"]): string =>
  screws
    .map((set) => {
      const washers = set.washers > 0 || set.washersIn > 0 ? `, ${set.washersIn} of ${washersText(set.washers)}` : "";
      return `${set.in} of ${set.count} × ${screwName(set)} in${washers}`;
    })
    .join(", ");

export const partScrewsWords = ({ part, screws, state, dressed }: Bodies["part-screws"]): Line => ({
  title: `Screws of ${part.name} ${dressed ? `dressed, ${dressed} so far` : state}`,
  detail: screwsInText(screws),
});

export const turnWayWords: Record<TurnWay, string> = {
  "as built": "as built so far",
  alone: "alone",
  "at that end only": "pushed home at that end only",
  "half a turn back": "its screws half a turn back",
};
export const turnFeelWords: Record<TurnFeel, string> = { free: "free", rough: "rough", stiff: "stiff" };

export function turnedWords({ way, feel, after, suspects, found, did, note }: Bodies["turned"]): Line {
  return {
    title: `Turned by hand, ${turnWayWords[way]}: ${turnFeelWords[feel]}`,
    detail: sentences(
      after && `After ${suspectText(after)}`,
      suspects.length > 0 && `Suspect: ${suspects.map(suspectText).join(", ")}`,
      found.length > 0 && `Found: ${found.join(", ")}`,
      did.length > 0 && `Done: ${did.join(", ")}`,
      note,
    ),
  };
}

export const suspectText = ({ part, by }: { part: PartNamed; by: "part" | "screws" }): string =>
  by === "screws" ? `the screws of ${part.name}` : part.name;

export const seatSaysWords: Record<Bodies["seat"]["says"], string> = {
  fits: "it fits",
  "too-narrow": "too narrow for its seat",
  proud: "wider than its seat: it stands proud",
  "not-to-be-told": "not to be told with this instrument",
};

export function seatWords(reader: Reader, body: Bodies["seat"]): Line {
  const { gapMm, expandedUncertaintyMm, laid } = body;
  const mm = (value: number) => lengthWords(reader, value, 2);
  return {
    title: `${capital(body.part.name)} in its seat: ${seatSaysWords[body.says]}${gapMm > 0 && body.says === "too-narrow" ? ` by ${mm(gapMm)}` : ""}`,
    detail: sentences(
      `Seat ${mm(body.seatMm)}, part ${mm(body.partMm)}${expandedUncertaintyMm === null ? "" : `, difference ± ${mm(expandedUncertaintyMm)}`}`,
      body.instrument ? body.instrument.name : "instrument not said",
      laid.length > 0 &&
        `${capital(piecesText(reader, laid))} laid in${body.race === "none" ? "" : `, touches ${raceWords[body.race]}`}`,
      laid.length > 0 && `${mm(body.leftMm)} left`,
      body.overdue && `The instrument was overdue, since ${body.overdue}`,
    ),
  };
}

/** Work on a part: what, from which size to which, runout, how it goes now. */
export function partWorkWords(reader: Reader, body: Bodies["part-work"]): Line {
  const { part, work, guided, beforeMm, afterMm, runoutBeforeMm, runoutAfterMm, felt, clocking, note } = body;
  const mm = (value: number) => lengthWords(reader, value, 2);
  const change = (before: number | null, after: number | null) =>
    before !== null && after !== null ? `${mm(before)} to ${mm(after)}` : after !== null ? `to ${mm(after)}` : "";
  return {
    title: `${part.name}: ${work}${guided ? ", through a guide" : ""}${afterMm === null ? "" : `, ${change(beforeMm, afterMm)}`}`,
    detail: sentences(
      runoutBeforeMm !== null && runoutAfterMm !== null && `runout ${change(runoutBeforeMm, runoutAfterMm)}`,
      felt && `it ${felt}`,
      clocking,
      note,
    ),
  };
}
