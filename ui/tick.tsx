import { Check } from "lucide-react";
import { Checkbox } from "radix-ui";
import { type ReactNode, useId } from "react";

/** A tick box with a target as large as its line. */
export function Tick({
  label,
  name,
  value,
  checked,
  defaultChecked,
  disabled,
  onChange,
}: {
  label: ReactNode;
  name?: string;
  value?: string;
  checked?: boolean;
  defaultChecked?: boolean;
  disabled?: boolean;
  onChange?: (checked: boolean) => void;
}) {
  const id = useId();
  return (
    <div className="flex items-center gap-3 min-h-12 py-1">
      <Checkbox.Root
        id={id}
        name={name}
        value={value}
        checked={checked}
        defaultChecked={defaultChecked}
        disabled={disabled}
        onCheckedChange={(now) => onChange?.(now === true)}
        className="size-7 shrink-0 border-2 border-ink bg-panel grid place-items-center cursor-pointer data-[state=checked]:bg-ink data-[state=checked]:text-panel disabled:opacity-45"
      >
        <Checkbox.Indicator>
          <Check aria-hidden="true" size={20} strokeWidth={3.5} />
        </Checkbox.Indicator>
      </Checkbox.Root>
      <label htmlFor={id} className="grow py-2 cursor-pointer">
        {label}
      </label>
    </div>
  );
}
