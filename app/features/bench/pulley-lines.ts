import type { PathPulley } from "~/core/belts";
import { parseNumber } from "~/core/quantity";
import type { Problems, Texts } from "../form/text-reader";

/** Pulleys in running order, one a line: "0 0 60 inside". */
export function pulleysOf(texts: Texts, problems: Problems): PathPulley[] {
  const lines = (texts.pulleys ?? "").split(/\n|;/).filter((line) => line.trim() !== "");
  const pulleys = lines.flatMap((line): PathPulley[] => {
    const [x, y, d, side] = line.trim().split(/\s+/);
    const [px, py, pd] = [x, y, d].map((part) => parseNumber(part ?? ""));
    if (!px?.ok || !py?.ok || !pd?.ok || pd.value <= 0) {
      problems.pulleys = { code: "not-a-pulley", path: ["pulleys"], facts: { text: line.trim() } };
      return [];
    }
    return [{ x: px.value, y: py.value, pitchDiameterMm: pd.value, side: side === "outside" ? "outside" : "inside" }];
  });
  if (pulleys.length < 2 && !problems.pulleys) problems.pulleys = { code: "missing", path: ["pulleys"], facts: {} };
  return pulleys;
}
