import { Delete } from "lucide-react";
import { memo } from "react";
import { useWords } from "~/app/features/words/use-words";

const keysWith = (decimal: string, minus: boolean) => [
  ...["7", "8", "9", "back", "4", "5", "6", decimal, "1", "2", "3", "0"],
  ...(minus ? ["-"] : []),
];

/**
 * Keys of our own, big enough for a gloved thumb. They never take the focus from the field, so a wedge instrument or a
 * keyboard can go on at any moment.
 */
export const Keypad = memo(function Keypad({
  onKey,
  onBack,
  minus,
}: {
  onKey: (key: string) => void;
  onBack: () => void;
  /** What is read may lie below 0. */
  minus: boolean;
}) {
  const { decimal } = useWords();
  const keep = (event: React.PointerEvent) => event.preventDefault();
  const look =
    "figure text-2xl font-semibold min-h-14 max-sm:min-h-12 bg-panel border border-rule cursor-pointer active:bg-ink active:text-panel grid place-items-center";
  return (
    <div className="grid grid-cols-4 gap-1.5 ">
      {keysWith(decimal, minus).map((key) =>
        key === "back" ? (
          <button
            key={key}
            type="button"
            tabIndex={-1}
            className={look}
            aria-label="Delete the last sign"
            onPointerDown={keep}
            onClick={onBack}
          >
            <Delete aria-hidden="true" size={26} />
          </button>
        ) : (
          <button
            key={key}
            type="button"
            tabIndex={-1}
            aria-label={key === "-" ? "Minus" : undefined}
            className={key === "-" ? `${look} col-span-4` : look}
            onPointerDown={keep}
            onClick={() => onKey(key)}
          >
            {key === "-" ? "−" : key}
          </button>
        ),
      )}
    </div>
  );
});
