import { RadioGroup } from "radix-ui";
import { memo, type RefObject, useCallback } from "react";
import { unitById } from "~/core/quantity";

/** In what a bare number is: one key for each unit, above the field. They never take the focus from it. */
export const UnitKeys = memo(function UnitKeys({
  value,
  units,
  onChange,
  field,
}: {
  value: string;
  units: readonly string[];
  onChange: (unit: string) => void;
  field: RefObject<HTMLInputElement | null>;
}) {
  const choose = useCallback(
    (unit: string) => {
      onChange(unit);
      field.current?.focus();
    },
    [onChange, field],
  );
  if (units.length === 1) return null;
  return (
    <RadioGroup.Root
      aria-label="A bare number is in"
      value={value}
      onValueChange={choose}
      loop={false}
      className="flex border-2 border-b-0 border-ink"
    >
      {units.map((unit) => (
        <RadioGroup.Item
          key={unit}
          value={unit}
          onPointerDown={(event) => event.preventDefault()}
          className="grow min-h-11 px-1 font-semibold cursor-pointer whitespace-nowrap bg-panel text-ink aria-checked:bg-ink aria-checked:text-panel border-l border-rule first:border-l-0"
        >
          {unitById(unit).symbol.replace("× ", "")}
        </RadioGroup.Item>
      ))}
    </RadioGroup.Root>
  );
});
