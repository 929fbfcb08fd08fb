import { useState } from "react";
import { v7 } from "uuid";
import type { StoreItem } from "~/core/records";
import { kindsOfStock, type StoreKind, storeKinds } from "~/core/stores";
import { FormEnd } from "../form/form-end";
import { SavedForm } from "../form/saved-form";
import { SelectField, TextField } from "../form/text-field";
import { TextReader } from "../form/text-reader";
import type { Texts } from "../form/texts";
import { TickField } from "../form/tick-field";
import { useFormTexts } from "../form/use-form-texts";
import { useSavedForm } from "../form/use-saved-form";

const kindOf = (texts: Texts): StoreKind => storeKinds.find((word) => word === texts.kind) ?? "shim";

/** What the form says, as the operation takes it; or what is wrong, by field. */
export function readItem(texts: Texts) {
  const read = new TextReader(texts);
  const kind = kindOf(texts);
  const { nominal, figures } = kindsOfStock[kind];
  const size = (name: string) => {
    const value = read.length(name);
    read.want(name, value > 0, "too-small");
    return value;
  };
  const entries = figures.flatMap(({ key, is }): [string, number | string][] => {
    if (!read.has(key)) return [];
    if (is === "text") return [[key, read.text(key)]];
    return [[key, is === "whole" ? read.number(key, true) : key.endsWith("Mm") ? read.length(key) : read.number(key)]];
  });
  const count = read.has("count") ? read.number("count", true) : null;
  read.want("count", count === null || count >= 0, "too-small");
  const price = read.has("price") ? read.number("price") : null;
  read.want("price", price === null || price >= 0, "too-small");
  return read.done({
    kind,
    name: read.words("name"),
    nominalMm: nominal === null ? null : size("nominal"),
    measuredMm: read.has("measured") ? size("measured") : null,
    figures: Object.fromEntries(entries),
    count,
    place: read.text("place"),
    price,
    gone: read.text("gone") === "yes",
  });
}

const itemTexts = (item: StoreItem): Texts => ({
  kind: item.kind,
  name: item.name,
  nominal: item.nominalMm === null ? "" : String(item.nominalMm),
  measured: item.measuredMm === null ? "" : String(item.measuredMm),
  place: item.place,
  price: item.price === null ? "" : String(item.price),
  gone: item.gone ? "yes" : "",
  ...Object.fromEntries(Object.entries(item.figures).map(([key, value]) => [key, String(value)])),
});

/** Something that lies in a drawer: entered, changed, counted. What is typed stays on the tablet until it is saved. */
export function ItemForm({
  item,
  kind: first,
  texts = {},
  back,
}: {
  item: StoreItem | null;
  kind: StoreKind;
  /** What stands in its fields to begin with. */
  texts?: Texts;
  back: string;
}) {
  const [ids] = useState(() => ({ id: item?.id ?? v7(), movementId: v7() }));
  const saved = useSavedForm({
    key: item ? `item ${item.id}` : `item-new ${texts.name ?? ""}`.trim(),
    initial: item ? itemTexts(item) : { kind: first, ...texts },
    read: readItem,
    schema: async () => (await import("~/core/records/store-item")).itemFields,
    fieldOf,
    send: (said) => ({ ...said, ...ids }),
  });
  return (
    <SavedForm of={saved}>
      <div className="grid sm:grid-cols-2 gap-4">
        <SelectField name="kind" label="It is a">
          {storeKinds.map((word) => (
            <option key={word} value={word}>
              {kindsOfStock[word].word}
            </option>
          ))}
        </SelectField>
        <TextField name="name" label="Name" hint="as it stands on the drawer" />
        <KindFields />
        <TextField
          name="count"
          label={item ? "Counted just now" : "How many"}
          inputMode="numeric"
          hint={item ? `${item.count} by the books; empty leaves it` : undefined}
        />
        <TextField name="place" label="Place" hint="cabinet, drawer" />
        <TextField name="price" label="Price of one" inputMode="decimal" />
      </div>
      <TickField name="gone" label="No longer made" />
      <FormEnd save={item ? "Keep" : "Into the stores"} busy={saved.busy} back={back} />
    </SavedForm>
  );
}

/** What is known of one of its kind. */
function KindFields() {
  const { nominal, figures } = kindsOfStock[kindOf(useFormTexts())];
  return (
    <>
      {nominal && <TextField name="nominal" label={`${nominal}, nominal`} hint="mm, or 4 thou, 1/8 in" />}
      {nominal && <TextField name="measured" label={`${nominal}, measured`} hint="where somebody measured it" />}
      {figures.map(({ key, label, is }) => (
        <TextField key={key} name={key} label={label} inputMode={is === "whole" ? "numeric" : undefined} />
      ))}
    </>
  );
}

/** The field of the form that a refusal's path names. */
const fieldOf = (path: readonly (string | number)[]): string => {
  const [first, second] = path.map(String);
  return first === "figures" ? (second ?? "") : (first ?? "").replace(/Mm$/, "");
};
