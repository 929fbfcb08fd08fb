import { useFormContext } from "react-hook-form";
import { useWords } from "~/app/features/words/use-words";
import { formatNumber } from "../words/figure";
import { TapKey } from "./tap-key";

/** Fills the rate, how far it may be off, and where it is asked the number of taps. */
export function TapField({ name, off, taps }: { name: string; off: string; taps?: string }) {
  const reader = useWords();
  const { setValue } = useFormContext();
  return (
    <TapKey
      onRate={(rate) => {
        const said = { shouldDirty: true, shouldValidate: true };
        setValue(name, formatNumber(reader, rate.perMinute, 2), said);
        setValue(off, formatNumber(reader, 100 * rate.toleranceShare, 1), said);
        if (taps) setValue(taps, String(rate.taps), said);
      }}
    />
  );
}
