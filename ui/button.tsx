import { cva } from "class-variance-authority";
import type { ComponentProps } from "react";

export type ButtonKind = "now" | "solid" | "line" | "quiet";

const look = cva(
  `inline-flex items-center justify-center gap-2 px-5 font-semibold cursor-pointer select-none text-center no-underline active:brightness-90
   disabled:opacity-45 disabled:cursor-not-allowed`,
  {
    variants: {
      kind: {
        now: "do-now bg-now text-on-now border-2 border-now",
        solid: "bg-ink text-panel border-2 border-ink",
        line: "border-2 border-ink text-ink bg-panel",
        quiet: "border border-rule text-ink bg-panel",
      } satisfies Record<ButtonKind, string>,
      large: { true: "min-h-14 text-lg", false: "min-h-11 text-base" },
    },
  },
);

/** `now`: the one thing to do next. `solid`: the main key of a group. `line`: its alternative. `quiet`: the rest. */
export const buttonClass = (kind: ButtonKind, large = false): string => look({ kind, large });

export function Button({
  kind = "line",
  large = false,
  className = "",
  ...rest
}: ComponentProps<"button"> & { kind?: ButtonKind; large?: boolean }) {
  return <button type="button" {...rest} className={look({ kind, large, className })} />;
}
