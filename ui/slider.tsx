import { Slider as Radix } from "radix-ui";

/** A value between two ends, by hand, by arrow keys and by page keys. */
export function Slider({
  label,
  value,
  from,
  to,
  step,
  says,
  onChange,
}: {
  label: string;
  value: number;
  from: number;
  to: number;
  step: number;
  /** The value in words, for who does not see it. */
  says: string;
  onChange: (value: number) => void;
}) {
  return (
    <Radix.Root
      className="relative flex items-center h-11 touch-none select-none"
      value={[value]}
      min={from}
      max={to}
      step={step}
      onValueChange={([next]) => next !== undefined && onChange(next)}
    >
      <Radix.Track className="relative grow h-1 bg-rule">
        <Radix.Range className="absolute h-full bg-transparent" />
      </Radix.Track>
      <Radix.Thumb
        aria-label={label}
        aria-valuetext={says}
        className="block w-7 h-11 bg-panel border-2 border-ink cursor-ew-resize focus-visible:outline-3 focus-visible:outline-now outline-offset-2"
      />
    </Radix.Root>
  );
}
