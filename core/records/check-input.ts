import type * as z from "zod";
import { accept, asRefusalCode, type Result, refuse } from "../quantity";

/** Loose input made one checked type, or the first thing that is wrong with it. */
export function checkInput<T extends z.ZodType>(schema: T, input: unknown): Result<z.output<T>> {
  const parsed = schema.safeParse(input, { reportInput: true });
  if (parsed.success) return accept(parsed.data);
  const issue = parsed.error.issues[0] as z.core.$ZodIssue;
  const path = issue.path.map((part) => (typeof part === "symbol" ? String(part) : part));
  switch (issue.code) {
    case "too_big":
      return refuse(
        issue.origin === "string" ? "text-too-long" : issue.origin === "array" ? "too-many" : "too-large",
        path,
        {
          most: Number(issue.maximum),
          given: sizeOf(issue.input),
        },
      );
    case "too_small":
      return refuse(issue.origin === "string" ? "empty" : issue.origin === "array" ? "too-few" : "too-small", path, {
        least: Number(issue.minimum),
      });
    case "custom":
      return refuse(asRefusalCode(issue.params?.code), path);
    default:
      // Left out, whether a figure or one of several words.
      return refuse("input" in issue && issue.input === undefined ? "missing" : "not-understood", path);
  }
}

const sizeOf = (value: unknown): number =>
  typeof value === "string" || Array.isArray(value) ? value.length : Number(value ?? 0);
