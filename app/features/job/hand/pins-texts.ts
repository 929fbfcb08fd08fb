import type { PinsTried } from "~/core/logbook";
import { parseQuantity } from "~/core/quantity";
import type { Texts } from "../../form/texts";

const sizeIn = (typed: string | undefined): number | null => {
  const read = parseQuantity(typed ?? "", "length", "mm");
  return read.ok && read.value.value > 0 ? read.value.value : null;
};

/** What was tried with pins, as far as it can be read. */
export const pinsTyped = (texts: Texts): PinsTried => ({
  goesMm: sizeIn(texts["pins.goes"]),
  stopsMm: sizeIn(texts["pins.stops"]),
  toleranceMm: sizeIn(texts["pins.off"]) ?? 0,
});
