import { type ComponentProps, type ReactNode, useId } from "react";

type Shared = { label: ReactNode; error?: ReactNode; hint?: ReactNode; className?: string };

/** A labelled input; an error stands under it and is announced. */
export function Field({ label, error, hint, className = "", ...rest }: Shared & ComponentProps<"input">) {
  return (
    <Labelled label={label} error={error} hint={hint} className={className}>
      {(wiring) => <input {...rest} {...wiring} className={`min-h-12 ${boxClass(error)}`} />}
    </Labelled>
  );
}

export function TextArea({ label, error, hint, className = "", ...rest }: Shared & ComponentProps<"textarea">) {
  return (
    <Labelled label={label} error={error} hint={hint} className={className}>
      {(wiring) => <textarea rows={3} {...rest} {...wiring} className={`py-2 ${boxClass(error)}`} />}
    </Labelled>
  );
}

/** One of several, named; the tablet's own list opens, which a thumb and a keyboard both know. */
export function Select({ label, error, hint, className = "", children, ...rest }: Shared & ComponentProps<"select">) {
  return (
    <Labelled label={label} error={error} hint={hint} className={className}>
      {(wiring) => (
        <select {...rest} {...wiring} className={`min-h-12 ${boxClass(error)}`}>
          {children}
        </select>
      )}
    </Labelled>
  );
}

/** The same in a row or a bar, where its name is heard and its column or its neighbours show it. */
export function BareSelect({
  label,
  wrong = false,
  children,
  className = "",
  ...rest
}: { label: string; wrong?: boolean } & ComponentProps<"select">) {
  return (
    <select
      {...rest}
      aria-label={label}
      aria-invalid={wrong || undefined}
      className={`min-h-11 px-2 bg-panel border-2 ${wrong ? "border-outside" : "border-ink"} ${className}`}
    >
      {children}
    </select>
  );
}

const boxClass = (error: ReactNode): string =>
  `w-full px-3 bg-panel border-2 text-lg ${error ? "border-outside" : "border-ink"}`;

type Wiring = { id: string; "aria-invalid": true | undefined; "aria-describedby": string | undefined };

function Labelled({ label, error, hint, className, children }: Shared & { children: (wiring: Wiring) => ReactNode }) {
  const id = useId();
  const notes = error || hint ? `${id}-notes` : undefined;
  return (
    <div className={className}>
      <label htmlFor={id} className="block font-semibold mb-1">
        {label}
      </label>
      {children({ id, "aria-invalid": error ? true : undefined, "aria-describedby": notes })}
      <Notes id={id} error={error} hint={hint} />
    </div>
  );
}

function Notes({ id, error, hint }: { id: string; error: ReactNode; hint: ReactNode }) {
  if (!error && !hint) return null;
  return (
    <p
      id={`${id}-notes`}
      role={error ? "alert" : undefined}
      className={error ? "text-outside font-semibold mt-1" : "text-mid mt-1"}
    >
      {error ?? hint}
    </p>
  );
}
