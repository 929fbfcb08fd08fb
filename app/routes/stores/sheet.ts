import { data } from "react-router";
import { asPerson, asPersonJson, everyRole, failureOf } from "~/app/session/session.server";
import { dayIn } from "~/operations/day-in";
import { importSheet, sheets, sheetText } from "~/operations/sheets";
import type { Route } from "./+types/sheet";

const sheetOf = (name: string) => {
  const sheet = sheets.find((one) => one.name === name);
  if (!sheet) throw data({ code: "no-such-sheet" }, { status: 404 });
  return sheet;
};

/** Everything there is, as CSV. */
export async function loader({ params, context, request }: Route.LoaderArgs) {
  const sheet = sheetOf(params.sheet);
  return asPerson(context, request, everyRole, async (asked) => {
    const name = `${sheet.name}-${dayIn(asked.now, asked.person.timeZone)}.csv`;
    return new Response(await sheetText(asked, sheet), {
      headers: { "Content-Type": "text/csv; charset=utf-8", "Content-Disposition": `attachment; filename="${name}"` },
    });
  });
}

/** A sheet coming in, looked at or saved: lines of JSON that say how far it is, and then what comes of it. */
export async function action({ params, request, context }: Route.ActionArgs) {
  const sheet = sheetOf(params.sheet);
  const save = new URL(request.url).searchParams.get("save") === "yes";
  const text = await request.text();
  return asPersonJson(context, ["lead"], async (asked) => {
    const encoder = new TextEncoder();
    const stream = new ReadableStream<Uint8Array>({
      async start(controller) {
        const say = (news: object) => controller.enqueue(encoder.encode(`${JSON.stringify(news)}\n`));
        try {
          const result = await importSheet(asked, sheet, text, save, async (share) => {
            say({ share });
            // Other requests have their turn in between.
            await new Promise((go) => setImmediate(go));
          });
          say(result.ok ? { report: result.value } : { refusal: result.refusal });
        } catch (error) {
          say({ refusal: { code: failureOf(error), path: [], facts: {} } });
        }
        controller.close();
      },
    });
    // Not to be gathered by what makes answers smaller: each line is news.
    return new Response(stream, {
      headers: { "Content-Type": "application/x-ndjson; charset=utf-8", "Cache-Control": "no-store, no-transform" },
    });
  });
}
