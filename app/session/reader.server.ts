import { AsyncLocalStorage } from "node:async_hooks";
import type { MiddlewareFunction } from "react-router";
import { takeDecimalFrom } from "~/app/features/words/figure";
import type { DecimalSign } from "~/core/quantity";
import { signedInPerson } from "./session.server";

const reading = new AsyncLocalStorage<DecimalSign>();
takeDecimalFrom(() => reading.getStore() ?? ".");

/** Everything that one request makes is written with the decimal sign of the person who asked. */
export const writeForReader: MiddlewareFunction<Response> = async ({ context }, next) => {
  const person = await signedInPerson(context).catch(() => null);
  return reading.run(person?.preferences.decimal === "comma" ? "," : ".", next);
};
