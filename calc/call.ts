import type * as z from "zod";
import type { Refusal } from "../core/quantity";
import type { Tool } from "./tool";
import { refusalMessage } from "./words";

export type CalcError = { error: { code: string; message: string; path: (string | number)[] } };
export type CalcAnswer = { ok: true; result: unknown } | { ok: false; refused: CalcError };

/** Checks the input, runs the tool, and turns every refusal into the contract's error object. */
export function callTool(tool: Tool, input: unknown, done?: (share: number) => void): CalcAnswer {
  const parsed = tool.input.safeParse(nullAsLeftOut(input), { reportInput: true });
  if (!parsed.success) return refused(issueError(parsed.error.issues[0] as z.core.$ZodIssue));
  const result = tool.run(parsed.data, done);
  return result.ok ? { ok: true, result: result.value } : refused(refusalError(result.refusal));
}

/** `null` on a key counts as left out: undefined, so that an unknown key is still one. Items of lists stay what they are. */
function nullAsLeftOut(input: unknown): unknown {
  if (Array.isArray(input)) return input.map((item) => (item === null ? null : nullAsLeftOut(item)));
  if (typeof input !== "object" || input === null) return input;
  return Object.fromEntries(
    Object.entries(input).map(([key, value]) => [key, value === null ? undefined : nullAsLeftOut(value)]),
  );
}

const refused = (error: CalcError["error"]): CalcAnswer => ({ ok: false, refused: { error } });

const refusalError = (refusal: Refusal): CalcError["error"] => ({
  code: refusal.code,
  message: refusalMessage(refusal),
  path: [...refusal.path],
});

function issueError(issue: z.core.$ZodIssue): CalcError["error"] {
  const path = issue.path.map((part) => (typeof part === "symbol" ? String(part) : part));
  switch (issue.code) {
    case "invalid_type":
      if (issue.input === undefined) return { code: "missing", message: `${named(path)} is missing`, path };
      if (issue.expected === "int")
        return { code: "not-whole", message: `${named(path)} must be a whole number`, path };
      return { code: "wrong-type", message: `${named(path)} must be ${article(issue.expected)}`, path };
    case "unrecognized_keys": {
      const key = issue.keys[0] ?? "";
      return { code: "unknown-key", message: `there is no key "${key}" here`, path: [...path, key] };
    }
    case "too_small": {
      if (issue.origin === "array")
        return { code: "too-few", message: `${named(path)} needs at least ${issue.minimum}`, path };
      const bound = `${issue.inclusive ? "at least" : "more than"} ${issue.minimum}`;
      return { code: "too-small", message: `${named(path)} must be ${bound}`, path };
    }
    case "too_big": {
      if (issue.origin === "array")
        return { code: "too-many", message: `${named(path)} takes at most ${issue.maximum}`, path };
      const bound = `${issue.inclusive ? "at most" : "less than"} ${issue.maximum}`;
      return { code: "too-large", message: `${named(path)} must be ${bound}`, path };
    }
    case "invalid_value":
      return { code: "not-listed", message: `${named(path)} must be one of ${issue.values.join(", ")}`, path };
    case "invalid_union": {
      // Of several forms the one that it was meant for: whose first fault does not lie in being another thing altogether.
      const meant = issue.errors.find(
        ([first]) => first && !(first.code === "invalid_type" && first.path.length === 0),
      );
      if (meant?.[0]) return issueError({ ...meant[0], path: [...issue.path, ...meant[0].path] } as z.core.$ZodIssue);
      return { code: "not-listed", message: `${named(path)} is not one of those listed`, path };
    }
    case "custom":
      return { code: String(issue.params?.code ?? "refused"), message: `${named(path)}: ${issue.message}`, path };
    default:
      return { code: issue.code.replaceAll("_", "-"), message: `${named(path)}: ${issue.message}`, path };
  }
}

const named = (path: readonly (string | number)[]): string => (path.length === 0 ? "the input" : path.join("."));

const article = (expected: string): string =>
  ({
    number: "a number",
    string: "a text",
    object: "an object",
    array: "a list",
    tuple: "a list",
    boolean: "true or false",
  })[expected] ?? expected;
