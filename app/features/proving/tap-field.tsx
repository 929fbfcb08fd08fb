import { useFormContext } from "react-hook-form";
import { useWords } from "~/app/features/words/use-words";
import { formatNumber } from "../words/figure";
import { TapKey } from "./tap-key";

/** Fills the rate, and how far it may be off, from taps. */
export function TapField({ name, off }: { name: string; off: string }) {
  const reader = useWords();
  const { setValue } = useFormContext();
  return (
    <TapKey
      onRate={({ perMinute, toleranceShare }) => {
        setValue(name, formatNumber(reader, perMinute, 2), { shouldDirty: true, shouldValidate: true });
        setValue(off, formatNumber(reader, 100 * toleranceShare, 1), { shouldDirty: true, shouldValidate: true });
      }}
    />
  );
}
