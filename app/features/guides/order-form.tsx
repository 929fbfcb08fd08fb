import { useState } from "react";
import { v7 } from "uuid";
import type { GuidePart } from "~/core/guides";
import { FormEnd } from "../form/form-end";
import { OrderedRowsField } from "../form/ordered-rows-field";
import { SavedForm } from "../form/saved-form";
import { SelectField, TextField } from "../form/text-field";
import { useSavedForm } from "../form/use-saved-form";
import { orderColumns, orderTexts, readOrder } from "./guide-texts";

/** The order of a guide's parts, dragged by hand or moved by keys, with what each waits for. */
export function OrderForm({
  guide,
  stages,
  back,
}: {
  /** null: a new one. */
  guide: { guideId: string; revision: number; name: string; stageId: string | null; parts: GuidePart[] } | null;
  stages: readonly { id: string; name: string }[];
  back: string;
}) {
  const [ids] = useState(() => ({ entryId: v7(), revisionId: v7(), guideId: guide?.guideId ?? v7() }));
  const parts = guide?.parts ?? [];
  const saved = useSavedForm({
    key: `guide ${guide?.guideId ?? `new ${back}`} ${guide?.revision ?? 0}`,
    initial: { name: guide?.name ?? "", stageId: guide?.stageId ?? "", ...orderTexts(parts) },
    read: (texts) => {
      const order = readOrder(texts, parts, v7);
      return order.value ? { value: { ...order.value, stageId: texts.stageId || null }, problems: null } : order;
    },
    send: (said) => ({ ...ids, seenRevision: guide?.revision ?? 0, ...said }),
    // The whole of what is refused about ties stands under the list.
    fieldOf: (path) => (path[0] === "name" ? "name" : "parts"),
  });
  return (
    <SavedForm of={saved} label="Order of the parts" className="grid gap-6">
      <div className="flex flex-wrap gap-4">
        <TextField name="name" label="Name of the assembly" className="grow max-w-sm" />
        {stages.length > 0 && (
          <SelectField name="stageId" label="Of the stage">
            <option value="">the whole machine</option>
            {stages.map(({ id, name }) => (
              <option key={id} value={id}>
                {name}
              </option>
            ))}
          </SelectField>
        )}
      </div>
      <div className="overflow-x-auto">
        <OrderedRowsField
          name="parts"
          legend="Parts, in the order in which they go together"
          hint="Names with a comma between them. On after: what must be on before. It hides: nuts, screws, marks and wiring that must be done before it is on. Screws, sides and marks are entered part by part, once the order is kept."
          one="Part"
          most={400}
          columns={orderColumns}
        />
      </div>
      <FormEnd save="Keep the guide" busy={saved.busy} back={back} />
    </SavedForm>
  );
}
