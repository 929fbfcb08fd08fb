import { parseQuantity, type Refusal } from "~/core/quantity";
import { Field } from "~/ui/field";
import { Refused } from "../words/refused";

/** A temperature among texts of a draft; nothing typed is none, and what cannot be read says why. */
export function degreesIn(text: string | undefined): { value: number | null; problem: Refusal | null } {
  if (!text?.trim()) return { value: null, problem: null };
  const read = parseQuantity(text, "temperature", "C");
  return read.ok ? { value: read.value.value, problem: null } : { value: null, problem: read.refusal };
}

export function DegreesField({
  label,
  name,
  texts,
  onText,
}: {
  label: string;
  name: string;
  texts: Readonly<Record<string, string>>;
  onText: (name: string, text: string) => void;
}) {
  const { problem } = degreesIn(texts[name]);
  return (
    <Field
      label={label}
      hint="°C"
      inputMode="decimal"
      autoComplete="off"
      value={texts[name] ?? ""}
      onChange={(event) => onText(name, event.target.value)}
      error={problem ? <Refused refusal={problem} /> : undefined}
    />
  );
}
