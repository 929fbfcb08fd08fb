import { accept, parseQuantity, type Result, refuse, standardGravity } from "../quantity";
import type { RunLoad } from "./schema";

/**
 * What a run is loaded with, as people write it: "8 kg" hangs there, "12 N at 150 mm" is a brake arm on a scale, anything else is words.
 *
 * @returns null for nothing; `too-small` where a weight, force or arm is not over 0
 * @example loadTyped("12 N x 150 mm") // brake, 12 N, 150 mm: 1.8 N·m
 */
export function loadTyped(text: string): Result<RunLoad | null> {
  const typed = text.trim();
  if (typed === "") return accept(null);
  const [, force, arm] = /^(.+?)\s*(?:×|\*|\bat\b|\bx\b|\bon\b)\s*(.+)$/i.exec(typed) ?? [];
  const forceN = force === undefined ? null : quantity(force, "force", "N");
  const armMm = arm === undefined ? null : quantity(arm, "length", "mm");
  if (forceN !== null && armMm !== null)
    return forceN > 0 && armMm > 0 ? accept({ kind: "brake", forceN, armMm }) : refuse("too-small", ["load"]);
  if (/(kg|lb|lbs|pounds?)$/i.test(typed)) {
    const weightN = quantity(typed, "force", "kgf");
    if (weightN !== null)
      return weightN > 0 ? accept({ kind: "weight", kg: weightN / standardGravity }) : refuse("too-small", ["load"]);
  }
  return accept({ kind: "words", text: typed });
}

function quantity(text: string, dimension: "force" | "length", bare: string): number | null {
  const read = parseQuantity(text, dimension, bare);
  return read.ok ? read.value.value : null;
}

/** Torque at the brake, N·m. */
export const brakeTorqueNm = ({ forceN, armMm }: { forceN: number; armMm: number }): number => (forceN * armMm) / 1000;
