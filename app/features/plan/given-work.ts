export type Someone = { id: string; name: string };
/** An open job, or the next visit to a stage. */
export type GivenWork = { jobId: string } | { stageId: string };
