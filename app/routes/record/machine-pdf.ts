import { downloadHeaders } from "~/app/features/export/download.server";
import { printerContext } from "~/app/session/request-context";
import { asPerson, everyRole } from "~/app/session/session.server";
import type { Route } from "./+types/machine-pdf";
import { loadMachineRecord, printedPaper } from "./load-record.server";

export const loader = ({ params, context, request }: Route.LoaderArgs) =>
  asPerson(context, request, everyRole, async (asked) => {
    const record = await loadMachineRecord(asked, params.machineId);
    const paper = await printedPaper(asked, context.get(printerContext), { of: "machine", record });
    return new Response(new Uint8Array(paper), {
      headers: downloadHeaders("application/pdf", `${record.machine.tag} logbook`, "pdf"),
    });
  });
