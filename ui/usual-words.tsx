import { ToggleGroup } from "radix-ui";

/** Words that mostly stand in a field, each put in by a touch; what else there is to say is typed. One stop of the Tab key for all of them. */
export function UsualWords({
  label,
  words,
  value,
  onPick,
}: {
  label: string;
  words: readonly string[];
  value: string;
  onPick: (word: string) => void;
}) {
  return (
    <ToggleGroup.Root
      type="single"
      aria-label={label}
      value={value}
      onValueChange={onPick}
      loop={false}
      className="flex flex-wrap gap-2 mt-2"
    >
      {words.map((word) => (
        <ToggleGroup.Item
          key={word}
          value={word}
          className="min-h-11 px-3 border border-rule bg-panel text-ink cursor-pointer data-[state=on]:bg-ink data-[state=on]:text-panel"
        >
          {word}
        </ToggleGroup.Item>
      ))}
    </ToggleGroup.Root>
  );
}
