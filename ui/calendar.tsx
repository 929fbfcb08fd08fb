import { formatISO, isValid, parseISO } from "date-fns";
import { ChevronLeft, ChevronRight } from "lucide-react";
import { Popover } from "radix-ui";
import { DayPicker } from "react-day-picker";

/** A month to pick a day from, in a box beside its field; weeks begin on Monday. */
export function Calendar({
  label,
  value,
  onPick,
  onClose,
}: {
  label: string;
  value: string;
  onPick: (day: string) => void;
  onClose: () => void;
}) {
  const typed = parseISO(value);
  const day = isValid(typed) ? typed : undefined;
  return (
    <Popover.Root open onOpenChange={(open) => open || onClose()}>
      <Popover.Anchor className="absolute inset-0 pointer-events-none" />
      <Popover.Portal>
        <Popover.Content
          align="end"
          sideOffset={6}
          collisionPadding={10}
          aria-label={label}
          className="z-40 bg-panel text-ink border-2 border-ink p-3"
        >
          <DayPicker
            mode="single"
            autoFocus
            weekStartsOn={1}
            defaultMonth={day}
            selected={day}
            onSelect={(picked) => picked && onPick(formatISO(picked, { representation: "date" }))}
            components={{ Chevron }}
            classNames={look}
          />
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}

const Chevron = ({ orientation }: { orientation?: string }) =>
  orientation === "left" ? <ChevronLeft aria-hidden="true" /> : <ChevronRight aria-hidden="true" />;

const look = {
  months: "relative",
  nav: "absolute right-0 top-0 flex",
  button_previous: "size-11 grid place-items-center cursor-pointer",
  button_next: "size-11 grid place-items-center cursor-pointer",
  month_caption: "h-11 flex items-center font-bold text-lg",
  weekday: "text-mid font-semibold size-11",
  day: "p-0 text-center",
  day_button: "figure size-11 cursor-pointer border-2 border-transparent hover:border-ink",
  today: "font-bold underline",
  selected: "bg-ink text-panel",
  outside: "text-mid",
};
