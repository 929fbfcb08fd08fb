import { type RecurringPart, recurringParts, type StageKind, stageKinds } from "~/core/stages";
import { type OwnRuleFields, symptomKinds, testCodes, whensSaid } from "~/core/symptoms";
import { severalIn } from "../form/several-field";
import { type Read, TextReader } from "../form/text-reader";
import type { Texts } from "../form/texts";

export const noRule: Texts = {
  ...{ says: "", kinds: "", parts: "", shows: "", speaksFor: "", against: "", test: "", source: "" },
};

/** A rule of the house as it was typed. */
export function readRule(texts: Texts): Read<OwnRuleFields> {
  const read = new TextReader(texts);
  const says = read.text("says").trim();
  read.want("says", says !== "", "empty");
  const shows = severalIn(symptomKinds, read.text("shows"));
  read.want("shows", shows.length > 0, "missing");
  const speaksFor = severalIn(whensSaid, read.text("speaksFor"));
  const against = severalIn(whensSaid, read.text("against"));
  read.want("against", !against.some((said) => speaksFor.includes(said)), "said-twice");
  return read.done({
    ...{ says, shows, speaksFor, against, source: read.text("source").trim() },
    kinds: severalIn<StageKind>(stageKinds, read.text("kinds")),
    parts: severalIn<RecurringPart>(recurringParts, read.text("parts")),
    test: testCodes.find((code) => code === read.text("test")) ?? "mark-and-watch",
  });
}
