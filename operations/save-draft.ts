import * as z from "zod";
import { accept, type Result, refuse } from "../core/quantity";
import * as ids from "../core/records/ids";
import { upsertDraft } from "../data/queries/drafts";
import { jobById } from "../data/queries/jobs";
import { type Context, checkRole, mayWork } from "./context";
import { draftBody } from "./draft-body";
import { checkInput, id } from "./input";

const draftInput = z.object({ id, jobId: ids.jobId, stageId: ids.stageId, body: draftBody });

/** Keeps what is being typed, for its writer, until it becomes an entry. The newest by the writer's own clock stays. */
export async function saveDraft({ pool, person }: Context, input: unknown): Promise<Result<true>> {
  const allowed = checkRole(person, mayWork);
  if (!allowed.ok) return allowed;
  const checked = checkInput(draftInput, input);
  if (!checked.ok) return checked;
  const { value } = checked;
  const job = await jobById(pool, person.workshopId, value.jobId);
  if (!job) return refuse("no-such-job", ["jobId"]);
  if (!job.stageIds.includes(value.stageId)) return refuse("no-such-stage", ["stageId"]);
  await upsertDraft(pool, { ...value, personId: person.id, at: new Date(value.body.savedAt) });
  return accept(true);
}
