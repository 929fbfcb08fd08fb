import { useNavigate } from "react-router";
import { v7 } from "uuid";
import type { JobLoaded } from "~/app/features/job/entries/job-loaded";
import type { JobId } from "~/core/records";
import { Button } from "~/ui/button";
import { pagePerson } from "../identity/page-person";
import { allWaiting } from "./outbox";
import { putAside, putOnItsWay } from "./outbox-state";
import { keepSnapshot, snapshotOf } from "./snapshots";

/** The job was signed by somebody else while this tablet was away: what it holds goes into a job of its own, in its order. */
export function FollowUp({ jobId }: { jobId: string }) {
  const navigate = useNavigate();
  return (
    <Button
      kind="now"
      onClick={async () => {
        const next = await startFollowUp(jobId);
        if (next) navigate(`/jobs/${next}/sign-off`);
      }}
    >
      Put them into a follow-up job
    </Button>
  );
}

async function startFollowUp(jobId: string): Promise<string | null> {
  const known = await snapshotOf<JobLoaded>("job", jobId);
  if (!known) return null;
  const id = v7() as JobId;
  const madeAt = new Date().toISOString();
  const reason = `Follow-up: ${known.job.reason}`.slice(0, 400);
  const { machineId, stageIds } = known.job;
  const job = { ...known.job, id, reason, openedAt: madeAt, openedBy: known.person.id, signedEntry: null };
  await keepSnapshot("job", id, { ...known, job, entries: [], drafts: [] } satisfies JobLoaded);
  const payload = { kind: "job-opened", id, entryId: v7(), machineId, stageIds, reason, madeAt };
  await putOnItsWay({ id, jobId: id, url: "/jobs/open", payload });
  const anew = new Map<unknown, string>();
  for (const waiting of await allWaiting()) {
    if (waiting.jobId !== jobId || waiting.personId !== pagePerson() || waiting.payload.kind === "signature") continue;
    const entry = v7();
    anew.set(waiting.id, entry);
    const { names, continues } = waiting.payload;
    await putOnItsWay({
      id: entry,
      jobId: id,
      url: `/jobs/${id}/entries`,
      payload: {
        ...waiting.payload,
        id: entry,
        jobId: id,
        ...(names === undefined ? {} : { names: anew.get(names) ?? names }),
        ...(continues ? { continues: anew.get(continues) ?? null } : {}),
      },
    });
    await putAside(waiting.id);
  }
  return id;
}
