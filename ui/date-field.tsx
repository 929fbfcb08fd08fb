import { CalendarDays } from "lucide-react";
import { type ReactNode, useRef, useState } from "react";
import { Button } from "./button";
import { Field } from "./field";
import { later } from "./use-later";
import { WhenHere } from "./when-here";

const calendar = later(async () => (await import("./calendar")).Calendar);

/**
 * A day of the calendar as "2026-11-25", typed or picked. What is typed and is no such day stays as it was typed, for whoever checks it to say
 * so; days and months with points between them are turned round.
 */
export function DateField({
  label,
  value,
  onChange,
  name,
  hint,
  error,
  className = "",
}: {
  label: string;
  value: string;
  onChange: (value: string) => void;
  name?: string;
  hint?: ReactNode;
  error?: ReactNode;
  className?: string;
}) {
  const [picking, setPicking] = useState(false);
  const field = useRef<HTMLInputElement>(null);
  return (
    <div className={`flex gap-2 items-start ${className}`}>
      <Field
        ref={field}
        className="grow"
        label={label}
        name={name}
        hint={hint ?? "2026-11-25, or 25.11.2026"}
        error={error}
        value={value}
        onChange={(event) => onChange(dayTyped(event.target.value))}
        inputMode="numeric"
        autoComplete="off"
      />
      <div className="relative mt-[calc(1lh+0.25rem)]">
        <Button
          className="min-h-12"
          aria-label={`Pick the day: ${label.toLowerCase()}`}
          aria-expanded={picking}
          onClick={() => setPicking(!picking)}
        >
          <CalendarDays aria-hidden="true" size={22} />
        </Button>
        {picking && (
          <WhenHere
            part={calendar}
            props={{
              label,
              value,
              onPick: (day: string) => {
                onChange(day);
                setPicking(false);
                field.current?.focus();
              },
              onClose: () => setPicking(false),
            }}
          />
        )}
      </div>
    </div>
  );
}

/** Whether it is a day as records have it. */
export const isDay = (text: string): boolean =>
  /^\d{4}-\d{2}-\d{2}$/.test(text) && !Number.isNaN(Date.parse(text)) && new Date(text).toISOString().startsWith(text);

/** "25.11.2026" as "2026-11-25"; anything else as it was typed. */
export function dayTyped(text: string): string {
  const found = /^\s*(\d{1,2})\.\s?(\d{1,2})\.\s?(\d{4})$/.exec(text);
  if (!found) return text;
  const [, day = "", month = "", year = ""] = found;
  return `${year}-${month.padStart(2, "0")}-${day.padStart(2, "0")}`;
}
