import type { ComponentProps } from "react";

export type ButtonKind = "now" | "solid" | "line" | "quiet";

const kinds: Record<ButtonKind, string> = {
  now: "bg-now text-on-now border-2 border-now",
  solid: "bg-ink text-panel border-2 border-ink",
  line: "border-2 border-ink text-ink bg-panel",
  quiet: "border border-rule text-ink bg-panel",
};

/** `now`: the one thing to do next. `solid`: the main key of a group. `line`: its alternative. `quiet`: the rest. */
export const buttonClass = (kind: ButtonKind, large = false): string =>
  `inline-flex items-center justify-center gap-2 px-5 font-semibold cursor-pointer select-none text-center no-underline
   disabled:opacity-45 disabled:cursor-not-allowed ${large ? "min-h-14 text-lg" : "min-h-11 text-base"} ${kinds[kind]}`;

export function Button({
  kind = "line",
  large = false,
  className = "",
  ...rest
}: ComponentProps<"button"> & { kind?: ButtonKind; large?: boolean }) {
  return <button type="button" {...rest} className={`${buttonClass(kind, large)} ${className}`} />;
}
