import { useState } from "react";
import { data } from "react-router";
import { v7 } from "uuid";
import { FormEnd } from "~/app/features/form/form-end";
import { RowsField } from "~/app/features/form/rows-field";
import { SavedForm } from "~/app/features/form/saved-form";
import { useSavedForm } from "~/app/features/form/use-saved-form";
import { greaseColumns, listTexts, lookColumns, readList } from "~/app/features/greasing/upkeep-texts";
import { PlaceHead } from "~/app/features/shell/head";
import { useWords } from "~/app/features/words/use-words";
import { jsonObject } from "~/app/session/json-object";
import { asPerson } from "~/app/session/session.server";
import { mayWork } from "~/operations/context";
import { keepUpkeep } from "~/operations/keep-upkeep";
import type { Route } from "./+types/edit-upkeep";
import { loadUpkeep } from "./load-upkeep.server";

export const meta: Route.MetaFunction = () => [{ title: "Grease and look lists, Harmostat" }];

export const loader = ({ params, context, request }: Route.LoaderArgs) =>
  asPerson(context, request, mayWork, (asked) => loadUpkeep(asked, params.machineId));

export async function action({ params, context, request }: Route.ActionArgs) {
  const input = await jsonObject(request);
  return asPerson(context, request, mayWork, async (asked) => {
    const kept = await keepUpkeep(asked, { ...input, machineId: params.machineId });
    if (kept.ok) return data({ onward: `/machines/${params.machineId}/upkeep` });
    return data({ refusal: kept.refusal }, { status: 400 });
  });
}

export default function EditUpkeep({ loaderData: { machine, list, revision } }: Route.ComponentProps) {
  const reader = useWords();
  const [ids] = useState(() => ({ entryId: v7(), revisionId: v7() }));
  const saved = useSavedForm({
    key: `upkeep ${machine.id} ${revision}`,
    initial: listTexts(reader, list),
    read: (texts) => readList(texts, v7),
    send: (said) => ({ ...ids, seenRevision: revision, list: said }),
    fieldOf: (path) => path.slice(1).map(String).join("."),
  });
  return (
    <>
      <PlaceHead />
      <main className="p-5 max-sm:p-3.5">
        <h1 className="text-3xl font-bold mb-4">What of the {machine.name} is greased and looked at</h1>
        <SavedForm of={saved} label="Grease and look lists" className="grid gap-7">
          <div className="overflow-x-auto">
            <RowsField
              name="grease"
              legend="Grease"
              hint="An interval on the meter, in days, or both: whichever comes first. The maker's comes first; dirt, wet, heat over 70 °C and an upright shaft shorten it (common practice). Without grams, the bearing's size gives the amount. None here and keep dry stand on the list so that nobody greases there."
              one="Place"
              most={200}
              columns={greaseColumns(machine.usageUnit)}
            />
          </div>
          <div className="overflow-x-auto">
            <RowsField
              name="looks"
              legend="Looked at, between runs"
              hint="Belt edges, cords, screws at a marked place, dust, leaks: by eye, without opening anything."
              one="Look"
              most={200}
              columns={lookColumns}
            />
          </div>
          <FormEnd save="Keep the lists" busy={saved.busy} back={`/machines/${machine.id}/upkeep`} />
        </SavedForm>
      </main>
    </>
  );
}
