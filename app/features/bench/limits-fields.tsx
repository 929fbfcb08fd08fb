import { TextField } from "../form/text-field";
import type { TextReader } from "../form/text-reader";

/** Lower and upper limit, of which one may be missing. */
export const LimitsFields = ({ of = "mm" }: { of?: string }) => (
  <>
    <TextField name="lo" label="Lower limit" hint={of} />
    <TextField name="hi" label="Upper limit" hint={of} />
  </>
);

/** Limits as they were typed; undefined where neither was. */
export function readLimits(read: TextReader): { lo?: number; hi?: number } | undefined {
  const [lo, hi] = [read.lengthOrNull("lo"), read.lengthOrNull("hi")];
  read.want("lo", lo === null || hi === null || !(lo > hi), "window-upside-down");
  if (lo === null && hi === null) return undefined;
  return { ...(lo === null ? {} : { lo }), ...(hi === null ? {} : { hi }) };
}

/** The same where both are needed. */
export function readWindow(read: TextReader): { lo: number; hi: number } {
  const [lo, hi] = [read.length("lo"), read.length("hi")];
  read.want("lo", !(lo > hi), "window-upside-down");
  return { lo, hi };
}
