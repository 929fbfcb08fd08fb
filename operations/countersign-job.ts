import * as z from "zod";
import { type Entry, isKind } from "../core/logbook";
import { accept, type Result, refuse } from "../core/quantity";
import { transaction } from "../data/postgres";
import { entriesOfJob } from "../data/queries/entries";
import { jobById } from "../data/queries/jobs";
import { lockHead } from "../data/queries/machines";
import { alreadyThere, submissionOf } from "./already-there";
import { appendEntry } from "./append-entry";
import { type Context, checkRole, signatureAsks } from "./context";
import { checkInput, id, instant, text } from "./input";
import { checkPassword } from "./secrets";

const countersignInput = z.object({
  id,
  jobId: id,
  comment: text(2000).trim().default(""),
  madeAt: instant,
  /** Their password; kept nowhere. */
  secret: z.string().min(1).max(200).optional(),
});

/**
 * A lead puts their name beside the one that a job is signed by: once, and never beside their own. In a session that a PIN began it takes the
 * password (`needs-password`), and so it does where signatures are asked for it.
 */
export async function countersignJob(context: Context, input: unknown): Promise<Result<Entry>> {
  const { pool, person, now } = context;
  const allowed = checkRole(person, ["lead"]);
  if (!allowed.ok) return allowed;
  const checked = checkInput(countersignInput, input);
  if (!checked.ok) return checked;
  const { value } = checked;
  const submission = submissionOf(person.id, value);
  const taken = await alreadyThere(pool, value.id, submission);
  if (taken) return taken;
  if (value.secret === undefined && (context.how === "pin" || signatureAsks(context)))
    return refuse("needs-password", ["secret"]);
  if (value.secret !== undefined) {
    const right = await checkPassword(pool, person, value.secret, ["secret"]);
    if (!right.ok) return right;
  }
  return transaction(pool, async (db): Promise<Result<Entry>> => {
    const job = await jobById(db, person.workshopId, value.jobId);
    if (!job) return refuse("no-such-job", ["jobId"]);
    const chain = await lockHead(db, job.machineId);
    const known = await alreadyThere(db, value.id, submission);
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
        body: { comment: value.comment, ...(value.secret === undefined ? {} : { provenBy: "password" as const }) },
        namesEntry: signature.id,
        madeBy: person.id,
        submission,
        madeAt: value.madeAt,
        recordedAt: now,
      }),
    );
  });
}
