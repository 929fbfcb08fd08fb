import type { ReactNode } from "react";
import { Form } from "react-router";
import { Button } from "~/ui/button";
import { Field } from "~/ui/field";

/** Words to look for in what stands below; they stand in the address, so that a page found can be sent on. */
export function Search({
  label,
  placeholder,
  words,
  wide = false,
  hidden = {},
  children,
}: {
  label: string;
  placeholder: string;
  words: string;
  /** As wide as a phone is. */
  wide?: boolean;
  /** What else stands in the address and stays there. */
  hidden?: Record<string, string | null>;
  /** Beside the key. */
  children?: ReactNode;
}) {
  return (
    <Form role="search" className={`flex gap-2 items-end ${wide ? "max-sm:w-full" : ""}`} preventScrollReset={!wide}>
      {Object.entries(hidden).map(
        ([name, value]) => value !== null && <input key={name} type="hidden" name={name} value={value} />,
      )}
      <Field
        className={`[&_label]:sr-only text-ink ${wide ? "w-80 max-sm:grow max-sm:w-auto" : ""}`}
        label={label}
        placeholder={placeholder}
        name="q"
        type="search"
        key={words}
        defaultValue={words}
      />
      <Button type="submit" className="px-4 min-h-12">
        Find
      </Button>
      {children}
    </Form>
  );
}
