import type { Refusal } from "~/core/quantity";
import { later, useLater } from "~/ui/use-later";
import { useWords } from "./use-words";

const words = later(() => import("./refusal"));

/** Fetches the words once the page stands, so that the first refusal need not wait for them. */
export function RefusalsAhead(): null {
  useLater(words, false);
  return null;
}

/** What a refusal means, on a page on which there seldom is one: the words come when it stands, or with the first. */
export function Refused({ refusal }: { refusal: Refusal }) {
  const reader = useWords();
  const said = useLater(words, true);
  return said ? said.refusalWords(reader, refusal) : "This was not taken. What you typed is still here.";
}
