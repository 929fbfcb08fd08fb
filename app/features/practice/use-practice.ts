import { useCallback, useEffect, useRef, useState } from "react";
import { v7 } from "uuid";
import type { LessonHere } from "~/app/routes/practice/load-practice.server";
import type { PracticeAct, PracticeAnswer } from "~/core/practice/schema";
import type { Refusal } from "~/core/quantity";

export type Practice = {
  /** undefined: not known yet; null: this machine is of no lesson. */
  lesson: LessonHere | null | undefined;
  busy: boolean;
  refusal: Refusal | null;
  /** What came of it; null where it was refused, or did not reach the machine: then the same can be asked again. */
  act: (act: PracticeAct) => Promise<PracticeAnswer | null>;
};

/** The lesson of a practice machine, and how something is done to it. The machine answers on the server: what is hidden stays there. */
export function usePractice(machineId: string): Practice {
  const [lesson, setLesson] = useState<LessonHere | null | undefined>(undefined);
  const [busy, setBusy] = useState(false);
  const [refusal, setRefusal] = useState<Refusal | null>(null);
  // The same deed asked again after a lost answer has the same name, and is done once.
  const pending = useRef<{ said: string; id: string } | null>(null);
  useEffect(() => {
    let gone = false;
    fetch(`/practice/at/${machineId}`)
      .then((response) => response.json())
      .then(
        (told: { lesson?: LessonHere | null }) => gone || setLesson(told.lesson ?? null),
        () => gone || setRefusal(away),
      );
    return () => {
      gone = true;
    };
  }, [machineId]);
  const lessonId = lesson?.id;
  const act = useCallback(
    async (done: PracticeAct) => {
      if (!lessonId) return null;
      const said = JSON.stringify(done);
      const id = pending.current?.said === said ? pending.current.id : v7();
      pending.current = { said, id };
      setBusy(true);
      setRefusal(null);
      try {
        const response = await fetch(`/practice/${lessonId}/acts`, {
          method: "POST",
          headers: { "Content-Type": "application/json" },
          body: JSON.stringify({ id, act: done }),
          signal: AbortSignal.timeout(15_000),
        });
        const told = (await response.json()) as { answer?: PracticeAnswer; refusal?: Refusal };
        pending.current = null;
        setRefusal(told.refusal ?? null);
        return told.answer ?? null;
      } catch {
        setRefusal(away);
        return null;
      } finally {
        setBusy(false);
      }
    },
    [lessonId],
  );
  return { lesson, busy, refusal, act };
}

const away: Refusal = { code: "offline", path: [], facts: {} };
