import { asPersonJson, everyRole, refusalResponse } from "~/app/session/session.server";
import { entriesOfJob } from "~/data/queries/entries";
import { jobById } from "~/data/queries/jobs";
import { mayWork } from "~/operations/context";
import { recordEntry } from "~/operations/record-entry";
import { signJob } from "~/operations/sign-job";
import type { Route } from "./+types/entries";

/** The job's entries as the server has them now. */
export async function loader({ params, context }: Route.LoaderArgs) {
  return asPersonJson(context, everyRole, async ({ pool, person }) => {
    const job = isId(params.jobId) ? await jobById(pool, person.workshopId, params.jobId) : null;
    if (!job) return refusalResponse(404, "no-such-job");
    return Response.json({ entries: await entriesOfJob(pool, job.id) });
  });
}

/** One more entry, or the signature. Sent twice it stays one. */
export async function action({ request, params, context }: Route.ActionArgs) {
  return asPersonJson(context, mayWork, async (asked) => {
    const input = await jsonObject(request);
    if (!input || !isId(params.jobId)) return refusalResponse(400, "not-understood");
    const operation = input.kind === "signature" ? signJob : recordEntry;
    const result = await operation(asked, { ...input, jobId: params.jobId });
    if (!result.ok) return Response.json({ refusal: result.refusal }, { status: 422 });
    return Response.json({ entry: { ...result.value, madeByName: asked.person.name } });
  });
}

export const isId = (text: string): boolean => /^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/i.test(text);

export async function jsonObject(request: Request): Promise<Record<string, unknown> | null> {
  const body: unknown = await request.json().catch(() => null);
  return body && typeof body === "object" && !Array.isArray(body) ? (body as Record<string, unknown>) : null;
}
