import { parseQuantity, severalQuantities } from "~/core/quantity";
import type { TextReader } from "./text-reader";

/** A length with the words it was typed in, so that it is called what the person calls it: 3/32 in. */
export type CalledLength = { mm: number; called: string };

/** Several lengths in one field: "2.4 2.42", "1/16 3/32 in". What cannot be read is refused at the field. */
export function severalLengths(read: TextReader, name: string): CalledLength[] {
  const typed = severalQuantities(read.text(name));
  return typed.flatMap((called) => {
    const parsed = parseQuantity(called, "length", "mm");
    if (parsed.ok) return [{ mm: parsed.value.value, called }];
    if (!(name in read.problems)) read.problems[name] = parsed.refusal;
    return [];
  });
}
