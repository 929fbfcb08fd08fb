import { printerContext } from "~/app/session/request-context";
import { asPerson, everyRole } from "~/app/session/session.server";
import type { Route } from "./+types/machine-pdf";
import { loadMachineRecord, printedPaper } from "./load-record.server";
import { paperAnswer } from "./paper-answer.server";

export const loader = ({ params, context, request }: Route.LoaderArgs) =>
  asPerson(context, request, everyRole, async (asked) => {
    const record = await loadMachineRecord(asked, params.machineId);
    return paperAnswer(request, `${record.machine.tag} logbook`, (onPage) =>
      printedPaper(asked, context.get(printerContext), { of: "machine", record }, onPage),
    );
  });
