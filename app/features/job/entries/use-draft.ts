import { useCallback, useEffect, useRef, useState } from "react";
import { v7 } from "uuid";
import type { DraftBody, RoundDraft } from "~/operations/draft-body";
import { post, type Stopped } from "../../offline/outbox";
import { useOutbox } from "../../offline/outbox-state";
import { claimDraft, type Draft, emptyDraft, keepDraft, type StoredDraft } from "./draft-store";

export type JobDraft = {
  draft: DraftBody;
  /** False until what was typed before has been found again. */
  ready: boolean;
  /** When the server last took it, and why it could not since. */
  at: string | null;
  why: Stopped;
  changeRound: (phase: keyof DraftBody["rounds"], change: (round: RoundDraft) => RoundDraft) => void;
  changeText: (name: string, text: string) => void;
};

const draftPauseMs = 700;

/** What is being typed on one stage of the job: kept in the browser before the next keystroke, on the server after a pause. */
export function useDraft(
  jobId: string,
  stageId: string,
  personId: string,
  fromServer: readonly StoredDraft[],
): JobDraft {
  const { tries } = useOutbox();
  const [draft, setDraft] = useState<Draft>({ id: "", body: emptyDraft() });
  /** When what was last taken by the server had been typed. */
  const [draftKept, setDraftKept] = useState(emptyDraft().savedAt);
  const [kept, setKept] = useState<{ at: string | null; why: Stopped }>({ at: null, why: null });
  const [retry, setRetry] = useState(0);
  const loaded = useRef(fromServer);
  const typedBy = useRef(personId);

  useEffect(() => {
    let live = true;
    setDraft({ id: "", body: emptyDraft() });
    const personId = typedBy.current;
    claimDraft({ personId, jobId, stageId }, loaded.current).then((claimed) => {
      if (live) setDraft(claimed);
    });
    return () => {
      live = false;
    };
  }, [jobId, stageId]);

  // Who takes over the tablet goes on with what stands there, under a draft of their own; the one of before is empty then.
  useEffect(() => {
    const before = typedBy.current;
    if (before === personId) return;
    typedBy.current = personId;
    setDraft((was) => {
      const savedAt = new Date().toISOString();
      if (was.id) keepDraft({ personId: before, jobId, stageId }, { id: was.id, body: { ...emptyDraft(), savedAt } });
      const next = { id: v7(), body: { ...was.body, savedAt } };
      keepDraft({ personId, jobId, stageId }, next);
      return next;
    });
  }, [personId, jobId, stageId]);

  // Sent after a pause in typing, and again with every try to send anything until it has arrived.
  const unsaved = draft.id !== "" && draft.body.savedAt > draftKept;
  // biome-ignore lint/correctness/useExhaustiveDependencies: every try to send is an occasion for the draft as well
  useEffect(() => {
    if (!unsaved) return;
    const timer = setTimeout(async () => {
      const answer = await post(`/jobs/${jobId}/draft`, { id: draft.id, jobId, stageId, body: draft.body });
      // A job opened here without a network is not known to the server yet; its draft waits with it.
      if ("stopped" in answer || "refusal" in answer) {
        if ("stopped" in answer) setKept((was) => ({ ...was, why: answer.stopped }));
        setTimeout(() => setRetry((count) => count + 1), 4000);
      } else {
        setDraftKept(draft.body.savedAt);
        setKept({ at: new Date().toISOString(), why: null });
      }
    }, draftPauseMs);
    return () => clearTimeout(timer);
  }, [unsaved, draft, tries, retry, jobId, stageId]);

  const change = useCallback(
    (how: (body: DraftBody) => DraftBody) => {
      setDraft((was) => {
        const next = { id: was.id || v7(), body: { ...how(was.body), savedAt: new Date().toISOString() } };
        keepDraft({ personId: typedBy.current, jobId, stageId }, next);
        return next;
      });
    },
    [jobId, stageId],
  );

  return {
    draft: draft.body,
    ready: draft.id !== "",
    ...kept,
    changeRound: useCallback(
      (phase, how) => change((body) => ({ ...body, rounds: { ...body.rounds, [phase]: how(body.rounds[phase]) } })),
      [change],
    ),
    changeText: useCallback(
      (name, text) => change((body) => ({ ...body, texts: { ...body.texts, [name]: text } })),
      [change],
    ),
  };
}
