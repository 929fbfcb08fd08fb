import type { Reader } from "~/app/features/words/reader";
import type { Entry, EntryKind } from "~/core/logbook";
import type { Stage } from "~/core/records";
import { entryWords } from "../words/entry";

/** An entry as a page of the logbook shows it: said in words where it is loaded, so that its readings need not travel. */
export type LogbookLine = {
  id: string;
  machineId: string;
  seq: number;
  kind: EntryKind;
  madeAt: string;
  recordedAt: string;
  madeByName: string;
  /** Null: the whole machine. */
  stageName: string | null;
  title: string;
  detail: string;
  /** Of a touched clamp: which, what became of it, and with what it folds into one line. */
  clamp: { number: number; became: string; with: string } | null;
  /** Of a photograph or file. */
  file: { isPicture: boolean; words: string } | null;
  corrections: { id: string; madeByName: string; text: string; voids: boolean }[];
};

/** In the figures of whoever reads; the machine's units have to be set before. */
export function logbookLine(
  reader: Reader,
  entry: Entry,
  stage: Stage | undefined,
  corrections: readonly Entry[],
): LogbookLine {
  const { title, detail } = entryWords(reader, entry, stage);
  return {
    id: entry.id,
    machineId: entry.machineId,
    seq: entry.seq,
    kind: entry.kind,
    madeAt: entry.madeAt,
    recordedAt: entry.recordedAt,
    madeByName: entry.madeByName,
    stageName: stage?.name ?? null,
    title,
    detail,
    clamp: clampOf(entry),
    file:
      entry.kind === "attachment"
        ? { isPicture: entry.body.mediaType.startsWith("image/"), words: entry.body.caption || entry.body.name }
        : null,
    corrections: corrections.flatMap((other) =>
      other.kind === "correction" && other.namesEntry === entry.id
        ? [{ id: other.id, madeByName: other.madeByName, text: other.body.text, voids: other.body.voids }]
        : [],
    ),
  };
}

function clampOf(entry: Entry): LogbookLine["clamp"] {
  if (entry.kind !== "clamp") return null;
  const { clamp, state } = entry.body;
  const became = state === "snug" || state === "started" ? "firm" : state;
  return { number: clamp, became, with: `${entry.jobId} ${entry.stageId} ${became}` };
}
