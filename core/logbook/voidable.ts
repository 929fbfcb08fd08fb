import type { EntryKind } from "./entry";

/** What can be said never to have counted. Isolation, going live and signatures happened, whatever is said of them later. */
export const voidable: ReadonlySet<EntryKind> = new Set([
  "round",
  "paper-round",
  "feel",
  "shift",
  "sweep",
  "trial",
  "option",
  "move",
  "clamp",
  "proof",
  "usage",
  "part-off",
  "part-on",
  "part-screws",
  "turned",
  "seat",
  "part-work",
  "shaft",
  "measured",
  "greased",
  "looked",
  "symptom",
  "suspect",
]);
