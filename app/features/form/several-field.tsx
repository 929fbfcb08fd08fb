import { useController } from "react-hook-form";
import { SeveralWords } from "~/ui/several-words";

/** Which of a few words stand in a text, as a form keeps them: with commas between. */
export const severalIn = <T extends string>(words: readonly T[], text: string | undefined): T[] => {
  const said = (text ?? "").split(",");
  return words.filter((word) => said.includes(word));
};

/** Any of a few words. */
export function SeveralField<T extends string>({
  name,
  legend,
  words,
  said,
}: {
  name: string;
  legend: string;
  words: readonly T[];
  said: (word: T) => string;
}) {
  const { field, fieldState } = useController({ name, defaultValue: "" });
  return (
    <div>
      <SeveralWords
        legend={legend}
        words={words}
        value={severalIn(words, String(field.value))}
        onChange={(chosen) => field.onChange(chosen.join(","))}
        said={said}
      />
      {fieldState.error && (
        <p role="alert" className="text-outside font-semibold mt-1">
          {fieldState.error.message}
        </p>
      )}
    </div>
  );
}
