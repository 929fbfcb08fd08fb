import { RadioGroup } from "radix-ui";
import { useId } from "react";

/** One of a few words, as a row of large keys; arrows walk among them. */
export function Choice<T extends string>({
  legend,
  name,
  options,
  value,
  onChange,
  tight = false,
}: {
  legend: string;
  name: string;
  options: readonly { value: T; label: string }[];
  value: T;
  onChange: (value: T) => void;
  /** Where the room is narrow. */
  tight?: boolean;
}) {
  const id = useId();
  return (
    <div>
      <p id={id} className="font-semibold mb-1">
        {legend}
      </p>
      <RadioGroup.Root
        aria-labelledby={id}
        name={name}
        value={value}
        onValueChange={(chosen) => {
          const option = options.find((known) => known.value === chosen);
          if (option) onChange(option.value);
        }}
        loop={false}
        className="flex flex-wrap gap-2"
      >
        {options.map((option) => (
          <RadioGroup.Item
            key={option.value}
            value={option.value}
            className={`min-h-12 ${tight ? "px-2.5" : "px-4"} inline-flex items-center gap-2 border-2 cursor-pointer bg-panel border-rule
              data-[state=checked]:bg-ink data-[state=checked]:text-panel data-[state=checked]:border-ink`}
          >
            {option.label}
          </RadioGroup.Item>
        ))}
      </RadioGroup.Root>
    </div>
  );
}
