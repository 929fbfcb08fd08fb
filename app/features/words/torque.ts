import type { Reader } from "~/app/features/words/reader";
import { classTorque } from "~/core/fastening";
import type { ScrewSet } from "~/core/guides";
import type { ClampPattern } from "~/core/records";
import { spoken } from "./spoken";

/** As many decimals as the torque needs: 9 N·m, 1.2 N·m, 0.45 N·m. */
export function torqueWords(reader: Reader, torqueNm: number | null): string {
  if (torqueNm === null) return "its torque, which is not known here";
  const digits = torqueNm >= 100 ? 0 : torqueNm >= 10 ? 1 : 2;
  return spoken(reader, "N·m", decimalsOf(torqueNm, digits)).said(torqueNm);
}

/** No more decimals than there is something in. */
function decimalsOf(value: number, most: number): number {
  for (let digits = 0; digits < most; digits++)
    if (Math.abs(value - Number(value.toFixed(digits))) < 10 ** -most / 2) return digits;
  return most;
}

/** "4 clamps M8 8.8", or that none are known. */
export const clampCountWords = ({ points, size }: Pick<ClampPattern, "points" | "size">): string =>
  points.length === 0
    ? "no clamps entered"
    : `${points.length} ${points.length === 1 ? "clamp" : "clamps"} ${size}`.trim();

/** For which threads a torque holds, as somebody said when the stage was entered. */
export function threadWords({ threads }: Pick<ClampPattern, "threads">): string {
  switch (threads) {
    case "dry":
      return "for dry threads";
    case "lubricated":
      return "for oiled threads";
    default:
      return "whether for dry or oiled threads was not said";
  }
}

/** What wet compound does to a torque: dry to oiled is K 0.20 to 0.15 (Machinery's Handbook). */
export function compoundWords(
  reader: Reader,
  { threads, torqueNm }: Pick<ClampPattern, "threads" | "torqueNm">,
): string {
  const wet = "Wet compound slips like oil (common practice): the torque on the maker's sheet for it comes first.";
  switch (threads) {
    case "dry":
      if (torqueNm === null) return wet;
      return `${wet} Where there is none, three quarters of the dry torque, ${torqueWords(reader, 0.75 * torqueNm)}, draw the screw as far (K 0.20 dry, 0.15 oiled, Machinery's Handbook).`;
    case "lubricated":
      return `${wet} Where there is none, the torque for oiled threads holds.`;
    default:
      if (torqueNm === null) return wet;
      return `${wet} If ${torqueWords(reader, torqueNm)} was given for dry threads, it overdraws a wet one by about a third (K 0.20 dry, 0.15 oiled, Machinery's Handbook).`;
  }
}

/** What a set of screws of a guide is drawn to: as it was given, or by its class; null where neither is known. */
export function setTorque({
  size,
  torqueNm,
  propertyClass,
  into,
}: ScrewSet): { nm: number; by: "given" | "class" } | null {
  if (torqueNm !== null) return { nm: torqueNm, by: "given" };
  // Into plastic the thread decides, not the screw.
  const nm = propertyClass && into === "metal" ? classTorque(size, propertyClass) : null;
  return nm === null ? null : { nm, by: "class" };
}

/** "M5 8.8 6.18 N·m, by its class into steel, dry". */
export function setTorqueWords(reader: Reader, set: ScrewSet): string {
  const torque = setTorque(set);
  if (!torque) return "";
  const name = [set.size, set.propertyClass].filter(Boolean).join(" ");
  const by = torque.by === "class" ? ", by its class into steel, dry (Machinery's Handbook, 75 % of proof)" : "";
  return `${name} ${torqueWords(reader, Number(torque.nm.toPrecision(3)))}${by}`;
}
