import { ToggleGroup } from "radix-ui";
import { useId } from "react";

/** Any of a few words, as large keys; none of them says nothing. One stop of the Tab key for all of them. */
export function SeveralWords<T extends string>({
  legend,
  words,
  value,
  onChange,
  said = (word) => word,
}: {
  legend: string;
  words: readonly T[];
  value: readonly T[];
  onChange: (value: T[]) => void;
  said?: (word: T) => string;
}) {
  const id = useId();
  return (
    <div>
      <p id={id} className="font-semibold mb-1">
        {legend}
      </p>
      <ToggleGroup.Root
        type="multiple"
        aria-labelledby={id}
        value={[...value]}
        onValueChange={(chosen) => onChange(words.filter((word) => chosen.includes(word)))}
        loop={false}
        className="flex flex-wrap gap-2"
      >
        {words.map((word) => (
          <ToggleGroup.Item
            key={word}
            value={word}
            className="min-h-12 px-3.5 border-2 border-rule bg-panel text-ink cursor-pointer data-[state=on]:bg-ink data-[state=on]:text-panel data-[state=on]:border-ink"
          >
            {said(word)}
          </ToggleGroup.Item>
        ))}
      </ToggleGroup.Root>
    </div>
  );
}
