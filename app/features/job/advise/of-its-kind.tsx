import { memo, type ReactNode } from "react";
import { usePanes } from "~/app/features/kinds/panes";
import { useWords } from "~/app/features/words/use-words";
import type { Refusal } from "~/core/quantity";
import type { Stage } from "~/core/records";
import type { JudgedRound } from "~/core/rounds";
import { useJobScreen } from "../entries/job-context";
import { useTexts } from "../entries/use-draft";
import { EaseFirst } from "./ease-first";

const noReadings: JudgedRound["counting"] = [];

type Span = { min: number; max: number };

/** What the kind of a stage shows: what is read to scale, and the same move by another part of it; each null where there is none. */
export function useOfItsKind(stage: Stage): {
  readPicture: (now: Span | null, then: Span | null) => ReactNode;
  otherMember: (changeMm: number) => ReactNode;
} {
  const reader = useWords();
  const { element } = stage.geometry;
  const panes = usePanes(element);
  return {
    readPicture: (now, then) => panes?.read?.({ element, limits: stage.limits, now, then }) ?? null,
    otherMember: (changeMm) => panes?.otherMember?.(reader, { stage, element, changeMm }) ?? null,
  };
}

/** What the kind sets beside what it is judged by. */
export const Beside = memo(function Beside({
  stage,
  judged,
  onOtherwise,
  onEase,
}: {
  stage: Stage;
  judged: JudgedRound | null;
  onOtherwise: (amount: number, note: string) => Refusal | null;
  onEase: (clamp: number) => void;
}) {
  const { job } = useJobScreen();
  const texts = useTexts();
  const { element } = stage.geometry;
  const Pane = usePanes(element)?.beside;
  if (!Pane) return null;
  const easeFirst = <EaseFirst clamps={job.record.clamps} onEase={onEase} />;
  return (
    <Pane
      {...{ stage, element, texts, easeFirst }}
      counting={judged?.counting ?? noReadings}
      expandedUncertainty={judged?.expandedUncertainty ?? 0}
      onText={job.changeText}
      onMove={onOtherwise}
    />
  );
});
