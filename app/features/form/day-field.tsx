import { useWords } from "~/app/features/words/use-words";
import { DateField } from "~/ui/date-field";
import { refusalWords } from "../words/refusal";
import { useForm } from "./text-field";

/** A day in a form by its name. */
export function DayField({ name, label }: { name: string; label: string }) {
  const reader = useWords();
  const { fields, problems } = useForm();
  const problem = problems?.[name];
  return (
    <DateField
      label={label}
      value={fields.texts[name] ?? ""}
      onChange={(day) => fields.set(name, day)}
      error={problem ? refusalWords(reader, problem) : undefined}
    />
  );
}
