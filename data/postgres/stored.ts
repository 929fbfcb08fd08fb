import type * as z from "zod";

/** What lies in a column as JSON, as its schema reads it; what does not fit is a fault of the store, and says where it lies. */
export function stored<T extends z.ZodType>(schema: T, value: unknown, where: string): z.output<T> {
  const parsed = schema.safeParse(value);
  if (parsed.success) return parsed.data;
  const [issue] = parsed.error.issues;
  throw new Error(`${where} cannot be read: ${issue?.path.join(".")} ${issue?.message}`);
}

const most = 20_000;

/** The same of rows that never change, such as revisions: each is read once while the app runs. */
export function storedOnce<T extends z.ZodType>(schema: T, what: string): (id: string, value: unknown) => z.output<T> {
  const known = new Map<string, z.output<T>>();
  return (id, value) => {
    const before = known.get(id);
    if (before !== undefined) return before;
    const read = stored(schema, value, `${what} ${id}`);
    if (known.size >= most) known.clear();
    known.set(id, read);
    return read;
  };
}
