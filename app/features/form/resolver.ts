import { toNestErrors } from "@hookform/resolvers";
import type { FieldError, FieldValues, Resolver } from "react-hook-form";
import type * as z from "zod";
import type { Reader } from "~/app/features/words/reader";
import type { Refusal } from "~/core/quantity";
import type { Problems, Read } from "./text-reader";
import { flatTexts, type Texts } from "./texts";

export type FormReading<T extends object> = {
  /** What the texts say; or what is wrong, by field. */
  read: (texts: Texts) => Read<T>;
  /** By which the server takes it: the same judges here, once it is to be sent. */
  schema?: () => Promise<z.ZodType>;
  /** The field that the path of a refusal is about. */
  fieldOf?: (path: Refusal["path"]) => string;
};

/** Where stands what is wrong with a form as a whole. */
export const wholeForm = "whole-form";

export const fieldOfPath = (path: Refusal["path"]): string => path.map(String).join(".");

/** Reads a form's texts, and says what is wrong with them at their fields, in words. */
export const formResolver =
  <T extends object>(
    reader: Reader,
    { read, schema, fieldOf = fieldOfPath }: FormReading<T>,
  ): Resolver<FieldValues, unknown, T> =>
  async (values, _, options) => {
    const done = read(flatTexts(values));
    if (done.problems !== null)
      return { values: {}, errors: toNestErrors(await inWords(reader, done.problems), options) };
    const judged = schema && (await judgedBy(schema, done.value));
    if (!judged || judged.ok) return { values: done.value, errors: {} };
    const named = fieldOf(judged.refusal.path);
    const field = named in flatTexts(values) ? named : wholeForm;
    return { values: {}, errors: toNestErrors(await inWords(reader, { [field]: judged.refusal }), options) };
  };

/** null where it could not be fetched: the server judges all the same. */
const judgedBy = (schema: () => Promise<z.ZodType>, value: object) =>
  Promise.all([import("~/core/records/check-input"), schema()]).then(
    ([{ checkInput }, by]) => checkInput(by, value),
    () => null,
  );

/** Words come with the first problem; where they could not be fetched, the field at least says that it is about it. */
async function inWords(reader: Reader, problems: Problems): Promise<Record<string, FieldError>> {
  const refusalWords = await import("../words/refusal").then(
    (words) => words.refusalWords,
    () => () => "This cannot be read. Why could not be fetched without the network.",
  );
  return Object.fromEntries(
    Object.entries(problems).map(([name, refusal]) => [
      name,
      { type: refusal.code, message: refusalWords(reader, refusal) },
    ]),
  );
}
