import type { Stage } from "~/core/records";
import { type Feel, feelsOf, feltAs } from "~/core/stages";

/** The words of the hand for a stage, a key each. */
export function FeltKeys({
  stage,
  legend,
  word,
  onWord,
}: {
  stage: Stage;
  legend: string;
  word: Feel | null;
  onWord: (word: Feel) => void;
}) {
  return (
    <fieldset>
      <legend className="font-semibold mb-1">{legend}</legend>
      <div className="grid grid-cols-2 sm:grid-cols-5 gap-2">
        {feelsOf(feltAs(stage.geometry.element) ?? "click").map((one) => (
          <PressedKey key={one} pressed={word === one} onPress={() => onWord(one)}>
            {one}
          </PressedKey>
        ))}
      </div>
    </fieldset>
  );
}

/** A key that stays pressed. */
export const PressedKey = ({
  pressed,
  onPress,
  children,
}: {
  pressed: boolean;
  onPress: () => void;
  children: string;
}) => (
  <button
    type="button"
    aria-pressed={pressed}
    className={`min-h-14 px-2 font-semibold border-2 border-ink cursor-pointer ${pressed ? "bg-ink text-panel" : "bg-panel"}`}
    onClick={onPress}
  >
    {children}
  </button>
);
