import { useState } from "react";
import { v7 } from "uuid";
import type { Shaft } from "~/core/shafts";
import { FormEnd } from "../form/form-end";
import { OrderedRowsField } from "../form/ordered-rows-field";
import { RowsField } from "../form/rows-field";
import { SavedForm } from "../form/saved-form";
import { TextField } from "../form/text-field";
import { useSavedForm } from "../form/use-saved-form";
import { useWords } from "../words/use-words";
import { type OtherShaft, partColumns, planeColumns, readShaft, shaftTexts } from "./shaft-texts";

/** A shaft of a machine: its faces, the parts between them in their order, planes that must stand somewhere, the end float wanted. */
export function ShaftForm({
  shaft,
  others,
  back,
}: {
  /** null: a new one. */
  shaft: Shaft | null;
  others: readonly OtherShaft[];
  back: string;
}) {
  const reader = useWords();
  const [ids] = useState(() => ({ entryId: v7(), revisionId: v7(), shaftId: shaft?.shaftId ?? v7() }));
  const saved = useSavedForm({
    key: `shaft ${shaft?.shaftId ?? `new ${back}`} ${shaft?.revision ?? 0}`,
    initial: shaftTexts(reader, shaft),
    read: (texts) => readShaft(texts, v7),
    send: (said) => ({ ...ids, seenRevision: shaft?.revision ?? 0, shaft: said }),
    fieldOf: (path) => fieldOf(path.map(String)),
  });
  return (
    <SavedForm of={saved} label="The shaft" className="grid gap-6">
      <div className="grid sm:grid-cols-2 lg:grid-cols-4 gap-4">
        <TextField name="name" label="Name of the shaft" className="sm:col-span-2" />
        <TextField name="leftFace" label="Left face" hint="the wall on the drive side" />
        <TextField name="rightFace" label="Right face" hint="the collar; the cover" />
        <TextField name="length" label="Face to face, mm" hint="as drawn; empty: not known" />
        <TextField name="diameter" label="Diameter, mm" hint="spacers are sought that go on it" />
        <TextField
          name="leftFaceAt"
          label="Left face stands at, mm"
          hint="on the machine, as those of its other shafts; empty: not known"
        />
        <TextField name="lo" label="End float, least, mm" />
        <TextField name="hi" label="End float, most, mm" />
      </div>
      <div className="overflow-x-auto">
        <OrderedRowsField
          name="parts"
          legend="Parts, from the left face"
          hint="Width as drawn or written on the part; empty: not known until it is measured. Spacers and shims are not parts: they are reckoned."
          one="Part"
          columns={partColumns}
        />
      </div>
      <div className="overflow-x-auto">
        <RowsField
          name="planes"
          legend="Planes that must stand somewhere"
          hint="Where belts, teeth and chains have to run in line. From its left: where the plane lies on the part; empty: its middle."
          one="Plane"
          columns={planeColumns(others)}
        />
      </div>
      <FormEnd save="Keep the shaft" busy={saved.busy} back={back} />
    </SavedForm>
  );
}

/** The field that a refusal speaks of. */
function fieldOf([, ...path]: string[]): string {
  const [first, second, third] = path;
  if (first === "endFloat") return "lo";
  if (first === "lengthMm") return "length";
  if (first === "diameterMm") return "diameter";
  if (first === "parts" && second !== undefined && third === "name") return `parts.${second}.name`;
  return first ?? "parts";
}
