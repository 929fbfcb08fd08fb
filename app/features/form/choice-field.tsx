import { useController } from "react-hook-form";
import { Choice } from "~/ui/choice";

/** One of a few. */
export function ChoiceField({
  name,
  legend,
  usual,
  options,
}: {
  name: string;
  legend: string;
  usual: string;
  options: readonly { value: string; label: string }[];
}) {
  const { field, fieldState } = useController({ name, defaultValue: "" });
  return (
    <div>
      <Choice legend={legend} name={name} value={field.value || usual} onChange={field.onChange} options={options} />
      {fieldState.error && (
        <p role="alert" className="text-outside font-semibold mt-1">
          {fieldState.error.message}
        </p>
      )}
    </div>
  );
}
