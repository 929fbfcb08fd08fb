import { RadioGroup } from "radix-ui";
import { type ReactNode, useId } from "react";

/** One of several that need a line each. */
export function PickList({
  legend,
  options,
  value,
  onChange,
}: {
  legend: string;
  options: readonly { value: string; label: ReactNode }[];
  value: string | null;
  onChange: (value: string) => void;
}) {
  const id = useId();
  return (
    <div className="grid gap-1">
      <p id={id} className="font-semibold">
        {legend}
      </p>
      <RadioGroup.Root aria-labelledby={id} value={value} onValueChange={onChange} loop={false} className="grid">
        {options.map((option, i) => (
          <div key={option.value} className="flex gap-3 items-center min-h-11">
            <RadioGroup.Item
              id={`${id}-${i}`}
              value={option.value}
              className="size-6 shrink-0 rounded-full border-2 border-ink bg-panel grid place-items-center cursor-pointer"
            >
              <RadioGroup.Indicator className="size-3 rounded-full bg-ink" />
            </RadioGroup.Item>
            <label htmlFor={`${id}-${i}`} className="grow py-2 flex flex-wrap gap-x-3 cursor-pointer">
              {option.label}
            </label>
          </div>
        ))}
      </RadioGroup.Root>
    </div>
  );
}
