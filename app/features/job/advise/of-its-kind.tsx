import { memo } from "react";
import { usePanes } from "~/app/features/kinds/panes";
import { useWords } from "~/app/features/words/use-words";
import type { Refusal } from "~/core/quantity";
import type { Stage } from "~/core/records";
import { useJobScreen } from "../entries/job-context";
import { useTexts } from "../entries/use-draft";
import { EaseFirst } from "./ease-first";

type Span = { min: number; max: number };

/** What is read, to scale, of a kind that shows it. */
export function ReadPicture({ stage, now, then }: { stage: Stage; now: Span | null; then: Span | null }) {
  const { element } = stage.geometry;
  const panes = usePanes(element);
  return panes?.read?.({ element, limits: stage.limits, now, then }) ?? null;
}

/** The same move by another part of the stage, where there is one. */
export function OtherMember({ stage, changeMm }: { stage: Stage; changeMm: number }) {
  const reader = useWords();
  const { element } = stage.geometry;
  const panes = usePanes(element);
  return panes?.otherMember?.(reader, { stage, element, changeMm }) ?? null;
}

/** What the kind sets beside what it is judged by. */
export const Beside = memo(function Beside({
  stage,
  onOtherwise,
  onEase,
}: {
  stage: Stage;
  onOtherwise: (amount: number, note: string) => Refusal | null;
  onEase: (clamp: number) => void;
}) {
  const { job } = useJobScreen();
  const texts = useTexts();
  const { element } = stage.geometry;
  const Pane = usePanes(element)?.beside;
  if (!Pane) return null;
  const easeFirst = <EaseFirst clamps={job.record.clamps} onEase={onEase} />;
  return <Pane {...{ stage, element, texts, easeFirst }} onText={job.changeText} onMove={onOtherwise} />;
});
