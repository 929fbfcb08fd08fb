import { z } from "zod";
import { type Entry, isKind } from "../core/logbook";
import { accept, type Result, refuse } from "../core/quantity";
import { transaction } from "../data/postgres";
import { entriesOfJob } from "../data/queries/entries";
import { jobById } from "../data/queries/jobs";
import { lockHead } from "../data/queries/machines";
import { alreadyThere } from "./already-there";
import { appendEntry } from "./append-entry";
import { type Context, checkRole } from "./context";
import { checkInput, id, instant, text } from "./input";

const countersignInput = z.object({ id, jobId: id, comment: text(2000).trim().default(""), madeAt: instant });

/** A lead puts their name beside the one that a job is signed by: once, and never beside their own. */
export async function countersignJob({ pool, person, now }: Context, input: unknown): Promise<Result<Entry>> {
  const allowed = checkRole(person, ["lead"]);
  if (!allowed.ok) return allowed;
  const checked = checkInput(countersignInput, input);
  if (!checked.ok) return checked;
  const { value } = checked;
  return transaction(pool, async (db): Promise<Result<Entry>> => {
    const job = await jobById(db, person.workshopId, value.jobId);
    if (!job) return refuse("no-such-job", ["jobId"]);
    const chain = await lockHead(db, job.machineId);
    const known = await alreadyThere(db, value.id, (entry) => entry.jobId === job.id);
    if (known) return known;
    const entries = await entriesOfJob(db, job.id);
    const signature = entries.find(isKind("signature"));
    if (!signature) return refuse("not-signed-yet", ["jobId"]);
    if (entries.some(({ kind }) => kind === "countersignature")) return refuse("countersigned-already", ["jobId"]);
    if (signature.madeBy === person.id) return refuse("own-signature", ["jobId"]);
    return accept(
      await appendEntry(db, chain, {
        id: value.id,
        machineId: job.machineId,
        jobId: job.id,
        stageId: signature.stageId,
        kind: "countersignature",
        body: { comment: value.comment },
        namesEntry: signature.id,
        madeBy: person.id,
        madeAt: value.madeAt,
        recordedAt: now,
      }),
    );
  });
}
