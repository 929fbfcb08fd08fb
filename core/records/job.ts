import * as z from "zod";
import { text } from "../schemas";
import { jobId, machineId, personId, stageId } from "./ids";

/** Work on one machine and on one or more of its stages, from opening to signature. */
export const jobRecord = z.object({
  id: jobId,
  machineId,
  stageIds: z.array(stageId),
  reason: text(2000),
  openedBy: personId,
  openedAt: z.iso.datetime(),
  /** The entry that signed it; null while it stands open. */
  signedEntry: z.uuid().nullable(),
});
export type Job = z.output<typeof jobRecord>;
