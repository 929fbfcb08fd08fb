import { downloadHeaders } from "~/app/features/export/download.server";
import { asPerson, everyRole } from "~/app/session/session.server";
import { dayIn } from "~/operations/day-in";
import type { Route } from "./+types/job-pdf";
import { loadJobRecord } from "./load-record.server";
import { recordAsPdf } from "./pdf.server";

export const loader = ({ params, context, request }: Route.LoaderArgs) =>
  asPerson(context, request, everyRole, async (asked) => {
    const record = await loadJobRecord(asked, params.jobId);
    const name = `${record.machine.tag} job ${dayIn(record.job.openedAt, record.timeZone)}`;
    return new Response(new Uint8Array(await recordAsPdf(record)), {
      headers: downloadHeaders("application/pdf", name, "pdf"),
    });
  });
