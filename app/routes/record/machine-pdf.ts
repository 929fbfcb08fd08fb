import { downloadHeaders } from "~/app/features/export/download.server";
import { asPerson, everyRole } from "~/app/session/session.server";
import type { Route } from "./+types/machine-pdf";
import { loadMachineRecord } from "./load-record.server";
import { logbookAsPdf } from "./pdf.server";

export const loader = ({ params, context, request }: Route.LoaderArgs) =>
  asPerson(context, request, everyRole, async (asked) => {
    const record = await loadMachineRecord(asked, params.machineId);
    return new Response(new Uint8Array(await logbookAsPdf(record)), {
      headers: downloadHeaders("application/pdf", `${record.machine.tag} logbook`, "pdf"),
    });
  });
