import { Progress as Radix } from "radix-ui";

/** How far something is, 0 to 1. */
export function Progress({ share, label }: { share: number; label: string }) {
  return (
    <Radix.Root
      value={Math.round(100 * share)}
      aria-label={label}
      className="grow min-w-24 h-4 border-2 border-ink bg-panel overflow-hidden"
    >
      <Radix.Indicator className="h-full bg-now" style={{ width: `${100 * share}%` }} />
    </Radix.Root>
  );
}
