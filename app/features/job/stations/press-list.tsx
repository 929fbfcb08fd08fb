import { Check } from "lucide-react";
import { useRef } from "react";

/** What each press acknowledges, in the words that stand there. */
export type Pressed = { key: string; text: string };

/**
 * Cautions acknowledged one by one: each is a press of its own, by hand or by Enter, which goes on to the next. What was not pressed stands
 * in the logbook as not acknowledged.
 */
export function PressList({
  items,
  pressed,
  onPress,
  label,
  firstFocus = false,
  after,
}: {
  items: readonly Pressed[];
  pressed: readonly string[];
  onPress: (keys: string[]) => void;
  label: string;
  /** Whether the first of them is the thing to do now. */
  firstFocus?: boolean;
  /** What has the focus after the last. */
  after?: () => void;
}) {
  const list = useRef<HTMLUListElement>(null);
  const press = (index: number) => {
    const { key } = items[index] as Pressed;
    const was = pressed.includes(key);
    onPress(was ? pressed.filter((other) => other !== key) : [...pressed, key]);
    if (was) return;
    const buttons = list.current?.querySelectorAll("button") ?? [];
    const next = [...buttons].find((button, i) => i > index && button.getAttribute("aria-checked") === "false");
    if (next) next.focus();
    else setTimeout(() => after?.());
  };
  return (
    <ul ref={list} aria-label={label} className="grid gap-1.5">
      {items.map(({ key, text }, i) => {
        const on = pressed.includes(key);
        return (
          <li key={key}>
            {/* biome-ignore lint/a11y/useSemanticElements: a press that moves on to the next, which a tick box does not */}
            <button
              type="button"
              role="checkbox"
              aria-checked={on}
              autoFocus={firstFocus && i === 0}
              onClick={() => press(i)}
              className={`w-full min-h-14 px-4 py-2 flex items-center gap-4 text-left text-lg border-2 cursor-pointer bg-panel ${on ? "border-ink" : "border-rule"}`}
            >
              <span
                aria-hidden="true"
                className={`size-7 shrink-0 border-2 border-ink inline-flex items-center justify-center ${on ? "bg-ink text-panel" : ""}`}
              >
                {on && <Check size={20} strokeWidth={3} />}
              </span>
              <span>{text}</span>
            </button>
          </li>
        );
      })}
    </ul>
  );
}

/** What of a list was pressed and what was not, word for word, as an entry keeps it. */
export const saidOf = (items: readonly Pressed[], pressed: readonly string[]) => ({
  acknowledged: items.filter(({ key }) => pressed.includes(key)).map(({ key, text }) => ({ key, text })),
  notAcknowledged: items.filter(({ key }) => !pressed.includes(key)).map(({ key, text }) => ({ key, text })),
});
