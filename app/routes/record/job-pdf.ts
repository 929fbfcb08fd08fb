import { printerContext } from "~/app/session/request-context";
import { asPerson, everyRole } from "~/app/session/session.server";
import { dayIn } from "~/operations/day-in";
import type { Route } from "./+types/job-pdf";
import { loadJobRecord, printedPaper } from "./load-record.server";
import { paperAnswer } from "./paper-answer.server";

export const loader = ({ params, context, request }: Route.LoaderArgs) =>
  asPerson(context, request, everyRole, async (asked) => {
    const record = await loadJobRecord(asked, params.jobId);
    const name = `${record.machine.tag} job ${dayIn(record.job.openedAt, asked.person.timeZone)}`;
    return paperAnswer(request, name, (onPage) =>
      printedPaper(asked, context.get(printerContext), { of: "job", record }, onPage),
    );
  });
