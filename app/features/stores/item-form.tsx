import { useState } from "react";
import { Link } from "react-router";
import { v7 } from "uuid";
import { useWords } from "~/app/features/words/use-words";
import type { StoreItem } from "~/core/records";
import { kindsOfStock, type StoreKind, storeKinds } from "~/core/stores";
import { Button, buttonClass } from "~/ui/button";
import { Select } from "~/ui/field";
import { FormProvider, TextField, TickField } from "../form/text-field";
import { TextReader, type Texts } from "../form/text-reader";
import { useSavedForm } from "../form/use-saved-form";
import { refusalWords } from "../words/refusal";

/** What the form says, as the operation takes it; or what is wrong, by field. */
export function readItem(texts: Texts) {
  const read = new TextReader(texts);
  const kind = storeKinds.find((word) => word === texts.kind) ?? "shim";
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
export function ItemForm({ item, kind: first, back }: { item: StoreItem | null; kind: StoreKind; back: string }) {
  const reader = useWords();
  const draft = item ? `item ${item.id}` : "item-new";
  const initial = item ? itemTexts(item) : { kind: first };
  const { fields, refusal, busy, send } = useSavedForm(draft, initial);
  const [ids] = useState(() => ({ id: item?.id ?? v7(), movementId: v7() }));
  const [asked, setAsked] = useState(false);
  const kind = storeKinds.find((word) => word === fields.texts.kind) ?? first;
  const { nominal, figures } = kindsOfStock[kind];
  const done = readItem(fields.texts);
  const refused = refusal?.path[0] === undefined ? {} : { [fieldOf(refusal.path)]: refusal };
  const problems = { ...(asked ? (done.problems ?? {}) : {}), ...refused };
  const save = (event: React.FormEvent) => {
    event.preventDefault();
    setAsked(true);
    if (done.value) send({ ...done.value, ...ids });
  };
  return (
    <FormProvider value={{ fields, problems }}>
      <form onSubmit={save} className="grid gap-5" noValidate>
        <div className="grid sm:grid-cols-2 gap-4">
          <Select label="It is a" value={kind} onChange={(event) => fields.set("kind", event.target.value)}>
            {storeKinds.map((word) => (
              <option key={word} value={word}>
                {kindsOfStock[word].word}
              </option>
            ))}
          </Select>
          <TextField name="name" label="Name" hint="as it stands on the drawer" />
          {nominal && <TextField name="nominal" label={`${nominal}, nominal`} hint="mm, or 4 thou, 1/8 in" />}
          {nominal && <TextField name="measured" label={`${nominal}, measured`} hint="where somebody measured it" />}
          {figures.map(({ key, label, is }) => (
            <TextField key={key} name={key} label={label} inputMode={is === "whole" ? "numeric" : undefined} />
          ))}
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
        <div className="border-t border-rule pt-4 flex flex-wrap gap-4 items-center">
          <Button kind="now" large type="submit" disabled={busy}>
            {item ? "Keep" : "Into the stores"}
          </Button>
          <Link to={back} className={buttonClass("quiet", true)}>
            Back, and keep what is typed
          </Link>
          {refusal && (
            <p role="alert" className="text-outside font-semibold text-lg">
              {refusal.path.length === 0 ? refusalWords(reader, refusal) : "Look at the marked field."}
            </p>
          )}
        </div>
      </form>
    </FormProvider>
  );
}

/** The field of the form that a refusal's path names. */
const fieldOf = (path: readonly (string | number)[]): string => {
  const [first, second] = path.map(String);
  return first === "figures" ? (second ?? "") : (first ?? "").replace(/Mm$/, "");
};
