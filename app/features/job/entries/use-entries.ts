import { useCallback, useEffect, useMemo, useRef, useState } from "react";
import { useRevalidator } from "react-router";
import { v7 } from "uuid";
import { onlyLookingHeader } from "~/app/session/person-header";
import type { Entry } from "~/core/logbook";
import { accept, type Result, refuse } from "~/core/quantity";
import type { Stage } from "~/core/records";
import type { Work } from "~/operations/build-entry";
import { useIdle } from "~/ui/use-later";
import type { TapeEntry } from "../../logbook/tape";
import { allWaiting, post, waitsForOthers } from "../../offline/outbox";
import { onTaken, putOnItsWay, sendWaiting, useOutbox } from "../../offline/outbox-state";
import { keepSnapshot, snapshotOf } from "../../offline/snapshots";
import type { Waiting } from "../../offline/waiting-store";
import type { JobLoaded } from "./job-loaded";

export type JobEntries = {
  entries: TapeEntry[];
  refused: Waiting[];
  /** False until what waits on this tablet is among them. */
  allHere: boolean;
  /** Stages whose geometry, adjuster or limits were revised while the job was on this screen. */
  revised: string[];
  /** Puts an entry into the logbook; a refusal comes back at once, and nothing typed is touched. */
  put: (stage: Stage, work: Work) => Promise<Result<Entry>>;
  sign: (signature: Record<string, unknown> & { id: string }, secret?: string) => Promise<Result<true>>;
};

const lookMs = 20_000;
const twiceMs = 400;

/**
 * The entries of the job as this tablet knows them: the server's, and those on their way shown as if they were there. Everything
 * keeps working while the server is away; it is sent, once and in order, when it is back.
 */
export function useEntries(data: JobLoaded): JobEntries {
  const { job, stages, instruments, before, person, leftOff, shafts } = data;
  const [served, setServed] = useState(data.entries);
  const [revised, setRevised] = useState<string[]>([]);
  const outbox = useOutbox();
  const { revalidate } = useRevalidator();
  const making = useMemo(
    () => ({ job, stages, instruments, before, person, leftOff, shafts }),
    [job, stages, instruments, before, person, leftOff, shafts],
  );
  const waiting = useMemo(() => outbox.items.filter((item) => item.jobId === job.id), [outbox.items, job.id]);
  const made = useMaking(outbox.tries, waiting.length > 0);
  const entries = useMemo(
    (): TapeEntry[] => (made && waiting.length > 0 ? made.withWaiting(served, waiting, making) : [...served]),
    [made, served, waiting, making],
  );
  const latest = useRef({ entries, stages });
  latest.current = { entries, stages };

  const takeIn = useCallback((more: readonly Entry[]) => {
    setServed((known) => {
      const ids = new Set(known.map((entry) => entry.id));
      const fresh = more.filter((entry) => !ids.has(entry.id));
      return fresh.length === 0 ? known : [...known, ...fresh].sort((a, b) => a.seq - b.seq);
    });
  }, []);

  const look = useCallback(async () => {
    try {
      const response = await fetch(`/jobs/${job.id}/entries`, {
        signal: AbortSignal.timeout(10_000),
        headers: { [onlyLookingHeader]: "1" },
      });
      if (!response.ok) return;
      const answer = (await response.json()) as { entries: Entry[]; revisions: Revisions[] };
      takeIn(answer.entries);
      const other = latest.current.stages.filter((stage) => isRevised(stage, answer.revisions));
      if (other.length === 0) return;
      setRevised((was) => [...new Set([...was, ...other.map((stage) => stage.name)])]);
      revalidate();
    } catch {
      // Away; what waits is tried again anyway.
    }
  }, [job.id, takeIn, revalidate]);

  useEffect(() => takeIn(data.entries), [data.entries, takeIn]);

  useEffect(
    () =>
      onTaken((taken) => {
        const ours = taken.filter((item) => item.waiting.jobId === job.id);
        takeIn(ours.flatMap(({ body }) => entryIn(body)));
        // The opening and a signature of several stages are more than the one entry answered.
        if (ours.some(({ waiting: { payload } }) => payload.kind === "job-opened" || payload.kind === "signature"))
          look();
      }),
    [job.id, takeIn, look],
  );

  // What others do on this job is looked for now and then, and on coming back to the page.
  useEffect(() => {
    const timer = setInterval(look, lookMs);
    window.addEventListener("online", look);
    window.addEventListener("focus", look);
    return () => {
      clearInterval(timer);
      window.removeEventListener("online", look);
      window.removeEventListener("focus", look);
    };
  }, [look]);

  // Enough to go on with after a reload without the server. The page may be an old copy; the tablet may know more.
  const [joined, setJoined] = useState(false);
  useEffect(() => {
    snapshotOf<JobLoaded>("job", job.id)
      .then((known) => takeIn(known?.entries ?? []))
      .finally(() => setJoined(true));
  }, [job.id, takeIn]);
  useEffect(() => {
    if (joined) keepSnapshot("job", job.id, { ...data, entries: served });
  }, [joined, data, job.id, served]);

  const justPut = useRef(new Set<string>());
  const put = useCallback(
    async (stage: Stage, work: Work): Promise<Result<Entry>> => {
      const payload = {
        ...work,
        id: v7(),
        jobId: job.id,
        stageId: stage.id,
        madeAt: new Date().toISOString(),
      };
      const loaded = await loadMaking().catch(() => null);
      if (!loaded) return refuse("page-not-whole", []);
      const built = loaded.optimistic(payload, latest.current.entries, making);
      if (!built.ok) return built;
      // A key pressed twice by a gloved thumb, or an Enter too many, is one entry. Clamps follow each other that fast.
      if (payload.kind !== "clamp") {
        const same = JSON.stringify([stage.id, work]);
        if (justPut.current.has(same)) return refuse("just-done", []);
        justPut.current.add(same);
        setTimeout(() => justPut.current.delete(same), twiceMs);
      }
      await putOnItsWay({ id: payload.id, jobId: job.id, url: `/jobs/${job.id}/entries`, payload });
      return accept(built.value);
    },
    [job.id, making],
  );

  const sign = useCallback(
    async (signature: Record<string, unknown> & { id: string }, secret?: string): Promise<Result<true>> => {
      const payload = { ...signature, kind: "signature", jobId: job.id, madeAt: new Date().toISOString() };
      const url = `/jobs/${job.id}/entries`;
      const { stopped } = await sendWaiting();
      // With the entries before it still here it waits behind them; what shows who signs is kept nowhere.
      const answer =
        stopped || waitsHere(payload, await allWaiting())
          ? ({ stopped: stopped ?? "server" } as const)
          : await post(url, secret ? { ...payload, secret } : payload);
      if ("refusal" in answer) {
        await look();
        return { ok: false, refusal: answer.refusal };
      }
      // Away, or the answer got lost: it waits with everything before it, and the server takes it once.
      if ("stopped" in answer) await putOnItsWay({ id: payload.id, jobId: job.id, url, payload });
      else {
        takeIn(entryIn(answer.body));
        await look();
      }
      return accept(true);
    },
    [job.id, takeIn, look],
  );

  const allHere = made !== null || waiting.length === 0;
  const refused = useMemo(() => waiting.filter((item) => item.refusal), [waiting]);
  return { entries, allHere, refused, revised, put, sign };
}

type Making = typeof import("./optimistic");

/** What makes entries here until the server does: it comes once the page can be worked on, or at once where something waits to be shown. */
const loadMaking = (): Promise<Making> => import("./optimistic");

/** Asked for again with every try of the outbox: the network may have been away when the page was opened. */
function useMaking(tries: number, wanted: boolean): Making | null {
  const [made, setMade] = useState<Making | null>(null);
  const idle = useIdle();
  // biome-ignore lint/correctness/useExhaustiveDependencies: each try is an occasion.
  useEffect(() => {
    if (!idle && !wanted) return;
    loadMaking().then(
      (module) => {
        setMade(() => module);
        // From here on the job can be worked on without a network.
        document.documentElement.dataset.whole = "";
      },
      () => {},
    );
  }, [tries, idle, wanted]);
  return made;
}

/** Whether something of the job that was made before has not been taken yet. */
const waitsHere = (payload: Waiting["payload"] & { jobId: string }, all: readonly Waiting[]): boolean =>
  waitsForOthers({ id: payload.id, jobId: payload.jobId, order: Number.MAX_SAFE_INTEGER, payload }, all);

/** The entry that the server answered with. */
const entryIn = (body: unknown): Entry[] => {
  const { entry } = body as { entry?: Entry };
  return entry ? [entry] : [];
};

export type Revisions = { stageId: string; geometryId: string; adjusterId: string; limitsId: string | null };

const isRevised = (stage: Stage, revisions: readonly Revisions[]): boolean => {
  const now = revisions.find((revision) => revision.stageId === stage.id);
  return (
    now !== undefined &&
    (now.geometryId !== stage.geometry.id ||
      now.adjusterId !== stage.adjuster.id ||
      now.limitsId !== (stage.limits?.id ?? null))
  );
};
