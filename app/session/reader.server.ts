import { AsyncLocalStorage } from "node:async_hooks";
import type { MiddlewareFunction } from "react-router";
import { keepReaderIn, type Reader, readerOf } from "~/app/features/words/figure";
import { signedInPerson } from "./session.server";

const reading = new AsyncLocalStorage<{ reader: Reader }>();
const nobody = readerOf();
keepReaderIn({
  get: () => reading.getStore()?.reader ?? nobody,
  set: (reader) => {
    const store = reading.getStore();
    if (store) store.reader = reader;
  },
});

/** Everything that one request makes is written as the person who asked wants figures. */
export const writeForReader: MiddlewareFunction<Response> = async ({ context }, next) => {
  const person = await signedInPerson(context).catch(() => null);
  return reading.run({ reader: readerOf(person?.preferences) }, next);
};
