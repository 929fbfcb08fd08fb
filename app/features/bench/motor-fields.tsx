import { parseNumber } from "~/core/quantity";
import { TextField } from "../form/text-field";
import type { TextReader } from "../form/text-reader";

/** A stepping motor with what stands between it and the output. */
export const MotorFields = () => (
  <>
    <TextField name="steps" label="Steps a turn" hint="200 is usual" inputMode="numeric" />
    <TextField name="micro" label="Microsteps" hint="16" inputMode="numeric" />
    <TextField name="ratio" label="Motor turns per output turn" hint="40, or 50/17" />
  </>
);

export function motorOf(read: TextReader) {
  const whole = (name: string, most: number) => {
    const value = read.number(name, true);
    read.want(name, value >= 1, "too-small");
    read.want(name, value <= most, "too-large");
    return value;
  };
  const [num, den] = read.text("ratio").split(/[/:]/);
  const parts = [num ?? "", den ?? "1"].map((part) => parseNumber(part.trim(), true));
  read.want(
    "ratio",
    parts.every((part) => part.ok && part.value >= 1 && part.value <= 1_000_000),
    "not-a-ratio",
  );
  const ratio = parts.map((part) => (part.ok ? part.value : Number.NaN)) as [number, number];
  return { stepsPerRev: whole("steps", 1_000_000), microsteps: whole("micro", 1024), ratio };
}
