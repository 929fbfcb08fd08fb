import { useState } from "react";
import { v7 } from "uuid";
import type { Guide } from "~/core/guides";
import { FormEnd } from "../form/form-end";
import { RowsField } from "../form/rows-field";
import { SavedForm } from "../form/saved-form";
import { TextField } from "../form/text-field";
import { useSavedForm } from "../form/use-saved-form";
import { raceWords } from "../words/parts";
import { useWords } from "../words/use-words";
import { partTexts, readPart, screwColumns, spacerColumns } from "./guide-texts";

/** One part of a guide: its screws, how it sits, spacers, and what is done before it hides something and as it goes on. */
export function PartForm({ guide, partId, back }: { guide: Guide; partId: string; back: string }) {
  const reader = useWords();
  const part = guide.parts.find(({ id }) => id === partId);
  if (!part) throw new Error("a part that is not in the guide");
  const [ids] = useState(() => ({ entryId: v7(), revisionId: v7() }));
  const saved = useSavedForm({
    key: `guide part ${guide.guideId} ${partId} ${guide.revision}`,
    initial: partTexts(reader, part),
    read: (texts) => readPart(texts, part),
    send: (said) => ({
      ...ids,
      guideId: guide.guideId,
      stageId: guide.stageId,
      name: guide.name,
      seenRevision: guide.revision,
      parts: guide.parts.map((one) => (one.id === partId ? said : one)),
      text: part.name,
    }),
    fieldOf: (path) => path.slice(2).map(String).join("."),
  });
  return (
    <SavedForm of={saved} label={part.name} className="grid gap-6">
      <div className="overflow-x-auto">
        <RowsField name="screws" legend="Screws" one="Size" most={20} columns={screwColumns} />
      </div>
      <div className="grid sm:grid-cols-2 gap-4 max-w-4xl">
        <TextField name="side" label="Side" hint="left, motor side" />
        <TextField name="facing" label="Which way round" hint="lip outwards" />
        <TextField name="mark" label="Mark that keeps its place" hint="dot to dot" />
        <TextField name="mass" label="Mass, kg" />
        <TextField name="beforeHidden" label="Before it hides it" hint="nuts in, teeth painted" />
        <TextField name="tools" label="Tools and consumables" hint="puller, pin punch 3 mm, PTFE tape" />
        <TextField name="asItGoesOn" label="As it goes on" hint="leave the gap for heat; a film of grease" />
      </div>
      <RowsField
        name="spacers"
        legend="Spacers and washers beside it"
        one="Spacer"
        most={12}
        columns={spacerColumns(raceWords)}
      />
      <FormEnd save="Keep the part" busy={saved.busy} back={back} />
    </SavedForm>
  );
}
