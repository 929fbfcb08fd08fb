import type { Reader } from "~/app/features/words/reader";
import type { Bodies, MeasuredCheck, MeasuredTool } from "~/core/logbook";
import { piecesText } from "../stacks/stack-words";
import { capital } from "./count";

/** What each tool measures, as the station calls it. */
export const measuredToolWords: Record<MeasuredTool, string> = {
  "part-runout": "Runout",
  "fit-series": "Fit",
  "housing-line": "Housings",
  flatness: "Frame flat",
  "wheel-align": "Wheels in line",
  "frame-pull": "Frame under tension",
  coupling: "Coupling",
  "shaft-align": "Coupled shafts",
  closure: "Back to zero",
};

export const measuredCheckWords: Record<MeasuredCheck, string> = {
  "bush-turns-on-shaft": "The bush turns on the shaft, not in its seat",
  "push-out-holes": "Push-out holes are behind it",
  "dust-blown-out": "Dust blown out after the last try",
  "sample-first": "A sample or ring was tried before the real part",
  "bolted-as-it-stands": "Bolted as it will stand, on a flat plate",
  "gap-for-heat": "The gap for heat was left",
  "read-under-load": "Read under load; a motor in straps too",
};

/** "Front foot 0.300 + 0.101 mm; rear foot 0.200 mm". */
export const shimsWords = (reader: Reader, laid: Bodies["measured"]["laid"]): string =>
  laid.map(({ at, shims }) => `${at} ${piecesText(reader, shims)}`).join("; ");

export function measuredWords(reader: Reader, body: Bodies["measured"]): { title: string; detail: string } {
  const { tool, of, when, said, verdict, instrument, laid, seenTo, note, overdue } = body;
  const undone = seenTo.filter(({ done }) => !done);
  return {
    title: `${of}${when ? `, ${when}` : ""}: ${said}`,
    detail: [
      measuredToolWords[tool],
      verdict === null
        ? ""
        : verdict === "conforms"
          ? "inside"
          : verdict === "undecided"
            ? "not to be told with this instrument"
            : "outside",
      laid.length > 0 && `Shimmed: ${shimsWords(reader, laid)}`,
      ...seenTo.filter(({ done }) => done).map(({ what }) => measuredCheckWords[what]),
      undone.length > 0 && `Not said: ${undone.map(({ what }) => measuredCheckWords[what]).join(", ")}`,
      instrument ? instrument.name : "instrument not said",
      overdue && `The instrument was overdue, since ${overdue}`,
      note,
    ]
      .filter(Boolean)
      .map((part) => capital(String(part)))
      .join(". "),
  };
}
