import { useCallback, useEffect, useMemo, useRef, useState } from "react";
import { v7 } from "uuid";
import { type Entry, type JobRecord, jobRecord } from "~/core/logbook";
import { accept, type Refusal, type Result, refuse } from "~/core/quantity";
import type { NamedEntry } from "~/data/queries/entries";
import type { Instrument } from "~/data/queries/instruments";
import type { Job } from "~/data/queries/jobs";
import type { Stage } from "~/data/queries/stages";
import { buildEntry, workInput } from "~/operations/build-entry";
import type { DraftBody, RoundDraft } from "~/operations/draft-body";
import { checkInput } from "~/operations/input";
import type { TapeEntry } from "../logbook/tape";
import { claimDraft, type Draft, emptyDraft, keepDraft, type StoredDraft } from "./draft-store";
import { dropWaiting, type FlushReport, flush, post, putWaiting, waitingOf } from "./outbox";
import type { Waiting } from "./waiting-store";

export type JobData = {
  job: Job;
  stage: Stage;
  instruments: Instrument[];
  entries: NamedEntry[];
  drafts: StoredDraft[];
  person: { id: string; name: string };
};

/** How well what was done and typed is kept: on the server since when, or on this tablet and why. */
export type Kept = { at: string | null; waiting: number; why: FlushReport["stopped"] };

export type JobNow = {
  entries: TapeEntry[];
  record: JobRecord;
  refused: Waiting[];
  kept: Kept;
  draft: DraftBody;
  /** False until what was typed before has been found again. */
  ready: boolean;
  /** Puts an entry into the logbook; a refusal comes back at once, and nothing typed is touched. */
  put: (work: Record<string, unknown>) => Promise<Result<Entry>>;
  sign: (signature: Record<string, unknown>) => Promise<Result<true>>;
  changeRound: (phase: keyof DraftBody["rounds"], change: (round: RoundDraft) => RoundDraft) => void;
  changeText: (name: string, text: string) => void;
  dismiss: (id: string) => void;
};

const draftPauseMs = 700;
const retryMs = 4000;
const lookMs = 20_000;
const twiceMs = 400;

/**
 * The job as this tablet knows it: the server's entries, those on their way shown as if they were there, and what is being
 * typed. Everything keeps working while the server is away; it is sent, once and in order, when it is back.
 */
export function useJob(data: JobData): JobNow {
  const { job, stage, instruments, person } = data;
  const [served, setServed] = useState(data.entries);
  const [waiting, setWaiting] = useState<Waiting[]>([]);
  const [kept, setKept] = useState<Kept>({ at: null, waiting: 0, why: null });
  /** Counts the times it was tried to send; each is an occasion to try the draft again. */
  const [tries, setTries] = useState(0);
  /** When what was last taken by the server had been typed. */
  const [draftKept, setDraftKept] = useState(emptyDraft().savedAt);
  const [draft, setDraft] = useState<Draft>({ id: "", body: emptyDraft() });

  const entries = useMemo(
    () => withWaiting(served, waiting, stage, instruments, person),
    [served, waiting, stage, instruments, person],
  );
  const record = useMemo(() => jobRecord(entries, stage.geometry.clamps), [entries, stage]);
  const latest = useRef({ entries, draft });
  latest.current = { entries, draft };

  const takeIn = useCallback((more: readonly NamedEntry[]) => {
    setServed((known) => {
      const ids = new Set(known.map((entry) => entry.id));
      const fresh = more.filter((entry) => !ids.has(entry.id));
      return fresh.length === 0 ? known : [...known, ...fresh].sort((a, b) => a.seq - b.seq);
    });
  }, []);

  const send = useCallback(async () => {
    const report = await flush(job.id);
    takeIn(report.taken);
    const left = await waitingOf(job.id);
    setWaiting(left);
    const unsent = left.filter((item) => !item.refusal).length;
    setKept((was) => {
      if (!report.asked) return { ...was, waiting: unsent };
      return { at: report.stopped ? was.at : new Date().toISOString(), waiting: unsent, why: report.stopped };
    });
    setTries((count) => count + 1);
    return report;
  }, [job.id, takeIn]);

  const look = useCallback(async () => {
    try {
      const response = await fetch(`/jobs/${job.id}/entries`, { signal: AbortSignal.timeout(10_000) });
      if (response.ok) takeIn(((await response.json()) as { entries: NamedEntry[] }).entries);
    } catch {
      // Away; what waits is tried again anyway.
    }
  }, [job.id, takeIn]);

  useEffect(() => {
    let live = true;
    claimDraft(job.id, stage.id, data.drafts).then((claimed) => {
      if (live) setDraft(claimed);
    });
    send();
    return () => {
      live = false;
    };
  }, [job.id, stage.id, data.drafts, send]);

  // What waits is tried again soon; what others do on this job is looked for now and then, and on coming back to the page.
  useEffect(() => {
    const stuck = kept.why !== null;
    const timer = setInterval(() => (stuck ? send() : look()), stuck ? retryMs : lookMs);
    const back = () => {
      send();
      look();
    };
    window.addEventListener("online", back);
    window.addEventListener("focus", back);
    return () => {
      clearInterval(timer);
      window.removeEventListener("online", back);
      window.removeEventListener("focus", back);
    };
  }, [kept.why, send, look]);

  // The draft goes to the server after a pause in typing, and again with every try to send until it has arrived.
  const unsavedDraft = draft.id !== "" && draft.body.savedAt > draftKept;
  // biome-ignore lint/correctness/useExhaustiveDependencies: every try to send is an occasion for the draft as well
  useEffect(() => {
    if (!unsavedDraft) return;
    const timer = setTimeout(async () => {
      const answer = await post(`/jobs/${job.id}/draft`, {
        id: draft.id,
        jobId: job.id,
        stageId: stage.id,
        body: draft.body,
      });
      if ("stopped" in answer) setKept((was) => ({ ...was, why: answer.stopped }));
      else {
        setDraftKept(draft.body.savedAt);
        setKept((was) => ({ ...was, at: new Date().toISOString(), why: was.waiting > 0 ? was.why : null }));
      }
    }, draftPauseMs);
    return () => clearTimeout(timer);
  }, [unsavedDraft, draft, tries, job.id, stage.id]);

  const change = useCallback(
    (how: (body: DraftBody) => DraftBody) => {
      setDraft((was) => {
        const next = { id: was.id || v7(), body: { ...how(was.body), savedAt: new Date().toISOString() } };
        keepDraft(job.id, stage.id, next);
        return next;
      });
    },
    [job.id, stage.id],
  );

  const lastOrder = useRef(0);
  const justPut = useRef(new Set<string>());
  const put = useCallback(
    async (work: Record<string, unknown>): Promise<Result<Entry>> => {
      const payload = {
        ...work,
        id: v7(),
        kind: String(work.kind),
        jobId: job.id,
        stageId: stage.id,
        madeAt: new Date().toISOString(),
      };
      const built = optimistic(payload, latest.current.entries, stage, instruments, person);
      if (!built.ok) return built;
      // A key pressed twice by a gloved thumb, or an Enter too many, is one entry. Clamps follow each other that fast.
      if (payload.kind !== "clamp") {
        const same = JSON.stringify(work);
        if (justPut.current.has(same)) return refuse("just-done", []);
        justPut.current.add(same);
        setTimeout(() => justPut.current.delete(same), twiceMs);
      }
      lastOrder.current = Math.max(Date.now(), lastOrder.current + 1);
      const item: Waiting = { id: payload.id, jobId: job.id, order: lastOrder.current, payload };
      await putWaiting(item);
      setWaiting((was) => [...was, item]);
      send();
      return accept(built.value);
    },
    [job.id, stage, instruments, person, send],
  );

  const sign = useCallback(
    async (signature: Record<string, unknown>): Promise<Result<true>> => {
      const report = await send();
      const offline: Refusal = { code: "offline", path: [], facts: {} };
      if (report.stopped)
        return { ok: false, refusal: report.stopped === "signed-out" ? { ...offline, code: "signed-out" } : offline };
      const answer = await post(`/jobs/${job.id}/entries`, signature);
      if ("stopped" in answer) return { ok: false, refusal: offline };
      if ("refusal" in answer) {
        await look();
        return { ok: false, refusal: answer.refusal };
      }
      takeIn([(answer.body as { entry: NamedEntry }).entry]);
      return accept(true);
    },
    [job.id, send, look, takeIn],
  );

  return {
    entries,
    record,
    refused: waiting.filter((item) => item.refusal),
    kept,
    draft: draft.body,
    ready: draft.id !== "",
    put,
    sign,
    changeRound: useCallback(
      (phase, how) => change((body) => ({ ...body, rounds: { ...body.rounds, [phase]: how(body.rounds[phase]) } })),
      [change],
    ),
    changeText: useCallback(
      (name, text) => change((body) => ({ ...body, texts: { ...body.texts, [name]: text } })),
      [change],
    ),
    dismiss: useCallback(async (id) => {
      await dropWaiting(id);
      setWaiting((was) => was.filter((item) => item.id !== id));
    }, []),
  };
}

function withWaiting(
  served: readonly NamedEntry[],
  waiting: readonly Waiting[],
  stage: Stage,
  instruments: readonly Instrument[],
  person: JobData["person"],
): TapeEntry[] {
  const entries: TapeEntry[] = [...served];
  for (const item of waiting) {
    if (item.refusal || entries.some((entry) => entry.id === item.id)) continue;
    const built = optimistic(item.payload, entries, stage, instruments, person);
    if (built.ok) entries.push({ ...built.value, madeByName: person.name, waiting: true });
  }
  return entries;
}

/** What the server will make of an entry, made here until it does. */
function optimistic(
  payload: Waiting["payload"],
  entries: readonly Entry[],
  stage: Stage,
  instruments: readonly Instrument[],
  person: JobData["person"],
): Result<Entry> {
  const work = checkInput(workInput, payload);
  if (!work.ok) return work;
  const built = buildEntry(work.value, stage, instruments, entries);
  if (!built.ok) return built;
  return accept({
    id: payload.id,
    machineId: stage.machineId,
    seq: (entries[entries.length - 1]?.seq ?? 0) + 1,
    jobId: null,
    stageId: stage.id,
    kind: work.value.kind,
    body: built.value.body,
    namesEntry: null,
    madeBy: person.id,
    madeAt: payload.madeAt,
    recordedAt: payload.madeAt,
    usage: null,
    geometryId: stage.geometry.id,
    adjusterId: stage.adjuster.id,
    limitsId: stage.limits.id,
    readings: built.value.readings,
  } as Entry);
}
