import { useMemo } from "react";
import { useWords } from "~/app/features/words/use-words";
import { totalOf } from "~/core/advice";
import { lastStack } from "~/core/logbook";
import type { Stage } from "~/core/records";
import { piecesTyped, readPieces } from "../../stacks/stack-words";
import { useJobScreen } from "./job-context";
import { useTexts } from "./use-draft";

/** What lies in a stage as it is typed beside its next move, from what was last logged on; after a move something else lies in it. */
export function useLaidPieces(stage: Stage, gear?: string | undefined, entered = "") {
  const reader = useWords();
  const { before, job } = useJobScreen();
  const texts = useTexts();
  const known = useMemo(() => {
    const here = job.entries.some(
      (entry) => entry.kind === "move" && entry.stageId === stage.id && entry.body.gear === gear,
    );
    if (here) return lastStack(job.entries, stage.id, gear);
    return (gear ? before.stops?.find((stop) => stop.gear === gear)?.stack : before.stack) ?? null;
  }, [job.entries, stage.id, gear, before.stack, before.stops]);
  const side = (name: "was" | "other", laid: Parameters<typeof piecesTyped>[1] | null | undefined) => {
    const field = `stack.${name}.${job.record.moves.length}${gear ? ` ${gear}` : ""}`;
    return { field, text: texts[field] ?? (laid ? piecesTyped(reader, laid) : entered) };
  };
  return { known, here: side("was", known?.here), other: side("other", known?.other) };
}

/** Thickness of the shims on either side of its part, mm; null where nobody has said what lies there. */
export type LaidShims = { hereMm: number | null; otherMm: number | null };

export function useLaidShims(stage: Stage): LaidShims {
  const reader = useWords();
  const { here, other } = useLaidPieces(stage);
  const total = (text: string) => {
    const pieces = text.trim() === "" ? null : readPieces(reader, text);
    return pieces && totalOf(pieces);
  };
  const [hereMm, otherMm] = [total(here.text), total(other.text)];
  return useMemo(() => ({ hereMm, otherMm }), [hereMm, otherMm]);
}
