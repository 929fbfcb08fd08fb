import { useEffect, useState, useSyncExternalStore } from "react";
import type { DraftBody } from "~/operations/draft-body";
import { useOutbox } from "../../offline/outbox-state";
import { emptyDraft, type StoredDraft } from "./draft-store";
import { useJobScreen } from "./job-context";
import { type DraftKept, TypedDraft } from "./typed-draft";

/** What is being typed on one stage of the job; another when the stage is another. */
export function useTypedDraft(
  jobId: string,
  stageId: string,
  personId: string,
  fromServer: readonly StoredDraft[],
): TypedDraft {
  const { tries } = useOutbox();
  const made = () => new TypedDraft(jobId, stageId, personId, fromServer);
  const [held, setHeld] = useState(made);
  let draft = held;
  if (held.jobId !== jobId || held.stageId !== stageId) {
    draft = made();
    setHeld(draft);
  }
  useEffect(() => draft.hold(), [draft]);
  useEffect(() => draft.handTo(personId), [draft, personId]);
  // biome-ignore lint/correctness/useExhaustiveDependencies: every try to send is an occasion for the draft as well
  useEffect(() => draft.tryAgain(), [draft, tries]);
  return draft;
}

const nothing = emptyDraft();

/** A part of what is being typed: whoever asks for it is rendered when that part is another, and for no other key. */
export function useTyped<T>(part: (body: DraftBody) => T): T {
  const { draft } = useJobScreen();
  return useSyncExternalStore(
    draft.subscribe,
    () => part(draft.body),
    () => part(nothing),
  );
}

const textsOf = ({ texts }: DraftBody) => texts;

/** The texts of the forms. */
export const useTexts = (): DraftBody["texts"] => useTyped(textsOf);

export const useDraftReady = (draft: TypedDraft): boolean =>
  useSyncExternalStore(
    draft.subscribe,
    () => draft.ready,
    () => false,
  );

const keptNowhere: DraftKept = { at: null, why: null };

export const useDraftKept = (draft: TypedDraft): DraftKept =>
  useSyncExternalStore(
    draft.subscribe,
    () => draft.kept,
    () => keptNowhere,
  );
