import { v5 } from "uuid";
import * as z from "zod";
import {
  type Entry,
  isOfParts,
  isRead,
  type JobRecord,
  jobRecord,
  outstandingOf,
  type Provisional,
  signedRecord,
  type Unaccounted,
} from "../core/logbook";
import { accept, type Result, refuse } from "../core/quantity";
import type { Stage } from "../core/records";
import type { Database } from "../data/postgres";
import { takeBack } from "../data/queries/assignments";
import { entriesOfJob, partsLeftOff } from "../data/queries/entries";
import { jobById, markSigned } from "../data/queries/jobs";
import { lockHead } from "../data/queries/machines";
import { closePartsOff, closePoints, insertPoint, openPointsOfStage } from "../data/queries/open-points";
import { stagesById } from "../data/queries/stages";
import { keepNextVisit } from "../data/queries/standings";
import { alreadyThere, submissionOf } from "./already-there";
import { appendEntry } from "./append-entry";
import { type Context, checkRole, mayWork, signatureAsks } from "./context";
import { checkInput, id, instant, text } from "./input";
import { transactionOn } from "./on-machine";
import { refreshStanding } from "./refresh-standing";
import { checkEither, type ProvenBy } from "./secrets";
import { settlePutRight } from "./settle-put-right";
import { trueTime } from "./true-time";

const signInput = z.object({
  kind: z.literal("signature"),
  /** Of the signature; of several stages, of the first. */
  id,
  jobId: id,
  madeAt: instant,
  sentAt: instant.optional(),
  /** The entries of the job that the signer saw. */
  saw: z.array(id).max(20_000),
  stages: z
    .array(
      z.object({
        stageId: id,
        /** What is left provisional, as the signer acknowledged it. */
        provisional: z.array(z.string().max(60)).max(40),
        nextDate: z.iso.date().nullable(),
      }),
    )
    .min(1)
    .max(50),
  comment: text(4000).trim(),
  /** PIN or password of who signs; kept nowhere. */
  secret: z.string().min(1).max(200).optional(),
});

/**
 * Signs a job and closes it for good, with one signature for each of its stages. Refused when something came in that the signer has
 * not seen or lacks something they saw (facts: count), when what is left provisional was not acknowledged, when nothing was read, or where the
 * workshop wants it proven and it is not (`signature-unproven`). What stays provisional
 * becomes an open point of the stage; what an earlier job left open and this one did not, is closed by it.
 */
export async function signJob(context: Context, input: unknown): Promise<Result<Entry>> {
  const { pool, person, now } = context;
  const allowed = checkRole(person, mayWork);
  if (!allowed.ok) return allowed;
  const checked = checkInput(signInput, input);
  if (!checked.ok) return checked;
  const { value } = checked;
  const submission = submissionOf(person.id, value);
  // What was taken already, and only its answer got lost, has nothing to prove.
  const taken = await alreadyThere(pool, value.id, submission);
  if (taken) return taken;
  const proven = await proofOfSigner(context, value.secret);
  if (!proven.ok) return proven;
  const found = await jobById(pool, person.workshopId, value.jobId);
  if (!found) return refuse("no-such-job", ["jobId"]);
  return transactionOn(pool, found.machineId, async (db): Promise<Result<Entry>> => {
    const chain = await lockHead(db, found.machineId);
    const known = await alreadyThere(db, value.id, submission);
    if (known) return known;
    const job = await jobById(db, person.workshopId, value.jobId);
    if (!job || job.signedEntry) return refuse("job-signed", ["jobId"]);
    const stages = await stagesById(db, job.stageIds);
    const entries = await entriesOfJob(db, job.id);
    const leftOff = await partsLeftOff(db, job.machineId, job.id);
    const saw = new Set(value.saw);
    // What a move did to another stage is noted by the server with it.
    const unseen = entries.filter((entry) => !saw.has(entry.id) && entry.kind !== "change").length;
    if (unseen > 0) return refuse("job-changed", ["saw"], { count: unseen });
    const missing = value.saw.filter((id) => !entries.some((entry) => entry.id === id)).length;
    if (missing > 0) return refuse("entries-missing", ["saw"], { count: missing });

    const parts = job.stageIds.flatMap((stageId) => {
      const stage = stages.find((s) => s.id === stageId);
      return stage ? [{ stage, record: jobRecord([...leftOff, ...entries], stage) }] : [];
    });
    const apart = entries.some(isOfParts);
    if (!apart && parts.every(({ record }) => !isRead(record) && record.shift === null))
      return refuse("nothing-read", ["saw"]);
    for (const { stage, record } of parts) {
      const said = value.stages.find((part) => part.stageId === stage.id);
      if (!said) return refuse("no-such-stage", ["stages"]);
      const missing = record.provisional.find((item) => !said.provisional.includes(item));
      if (missing) return refuse("not-acknowledged", ["provisional", missing]);
    }
    const { madeAt } = trueTime(value.madeAt, value.sentAt, now);
    let first: Entry | null = null;
    for (const { stage, record } of parts) {
      const nextDate = value.stages.find((part) => part.stageId === stage.id)?.nextDate ?? null;
      const entry: Entry = await appendEntry(db, chain, {
        id: first ? v5(stage.id, value.id) : value.id,
        machineId: job.machineId,
        jobId: job.id,
        stageId: stage.id,
        kind: "signature",
        body: {
          record: signedRecord(record, stage),
          comment: value.comment,
          nextDate,
          provisional: record.provisional,
          saw: value.saw,
          unproven: record.unproven,
          ...outstandingOf(record),
          ...(proven.value ? { provenBy: proven.value } : {}),
        },
        madeBy: person.id,
        ...(first ? {} : { submission }),
        madeAt,
        recordedAt: now,
        geometryId: stage.geometry.id,
        adjusterId: stage.adjuster.id,
        limitsId: stage.limits?.id ?? null,
      });
      first ??= entry;
      await settlePoints(db, stage, record, entry);
      await refreshStanding(db, stage.id);
      await keepNextVisit(db, stage.id, { date: nextDate, usage: null, usageOn: null }, "");
    }
    if (!first) return refuse("no-such-stage", ["stages"]);
    // Whichever stage it was said of: nothing of the machine is off any more.
    if (parts.every(({ record }) => record.apart.off.length === 0)) await closePartsOff(db, job.machineId, first.id);
    if (parts[0]) await settlePutRight(db, job.machineId, parts[0].record, first);
    await takeBack(db, { jobId: job.id, stageIds: job.stageIds });
    await markSigned(db, job.id, first.id);
    return accept(first);
  });
}

/** By what the signer showed that it is they; null where nobody asks. A PIN or password that is given is looked at even where nobody asks. */
async function proofOfSigner(context: Context, secret: string | undefined): Promise<Result<ProvenBy | null>> {
  if (secret !== undefined) return checkEither(context.pool, context.person, secret);
  return signatureAsks(context) ? refuse("signature-unproven", ["secret"]) : accept(null);
}

/** What was not read as found is past mending; everything else that stays provisional must not be forgotten. */
const remembered = (item: Provisional): boolean => item !== "no-as-found";

/** Each shaft, frame or coupling is a point of its own, of the machine. */
const ofPart: ReadonlySet<string> = new Set(["shaft-not-right", "measured-not-inside"] satisfies Provisional[]);

/** A point that is still open keeps its first date; a look alone neither opens nor closes what only work can. */
async function settlePoints(db: Database, stage: Stage, record: JobRecord, signature: Entry): Promise<void> {
  const open = (await openPointsOfStage(db, stage.id)).filter(
    ({ code }) => code !== "said" && code !== "order" && code !== "damage" && !ofPart.has(code),
  );
  const still = record.provisional.filter((item) => remembered(item) && !ofPart.has(item));
  const worked =
    record.moves.length > 0 ||
    record.apart.steps.length > 0 ||
    record.clamps.some((clamp) => clamp.state !== "unknown");
  const settled = open.filter(
    (point) =>
      !still.includes(point.code as Provisional) &&
      (worked || point.code === "not-inside" || point.code === "not-judged"),
  );
  await closePoints(
    db,
    settled.map((point) => point.id),
    signature.id,
  );
  for (const code of still.filter((item) => !open.some((point) => point.code === item))) {
    await insertPoint(db, {
      id: v5(code, signature.id),
      machineId: stage.machineId,
      stageId: stage.id,
      code,
      text: pointText(code, record),
      openedEntry: signature.id,
      openedBy: signature.madeBy,
      openedAt: signature.madeAt,
    });
  }
}

/** What it is that was left, where that can be named. */
function pointText(code: Provisional, { things, apart }: JobRecord): string {
  const pieces = (of: readonly Unaccounted[]) =>
    of.map(({ part, what, pieces }) => `${pieces} × ${what}, ${part.name}`).join("; ");
  switch (code) {
    case "things-left-in":
      return things.map(({ thing }) => thing).join(", ");
    case "parts-off":
      return apart.off.map(({ name }) => name).join(", ");
    case "screws-missing":
      return pieces(apart.missing);
    case "screws-over":
      return pieces(apart.over);
    case "part-screws-slack":
      return apart.slack.map(({ name }) => name).join(", ");
    default:
      return "";
  }
}
