import { gearPair, unwiseIn } from "../../../gears";
import { accept, type Result, refuse } from "../../../quantity";
import type { Unwise } from "../../unwise";
import type { GearElement } from "./schema";

/** The pair itself, and every further gear of a switchable one at the same centre distance. */
export function checkGears({ pair, parts, gears, gearName }: GearElement): Result<Unwise[]> {
  const mesh = gearPair(pair);
  if (!mesh.ok) return mesh;
  const unwise: Unwise[] = unwiseIn(pair, parts);
  if (gears && gears.length === 0) return refuse("one-gear-only", ["gears"], { name: gearName ?? "" });
  for (const [i, gear] of (gears ?? []).entries()) {
    const otherPair = {
      ...pair,
      teeth: gear.teeth,
      profileShift: gear.profileShift,
      tipDiameterMm: undefined,
      centreDistanceMm: mesh.value.centreDistanceMm,
    };
    const other = gearPair(otherPair);
    if (!other.ok)
      return refuse("gear-has-no-mesh", ["gears", i], { name: gear.name, sum: pair.teeth[0] + pair.teeth[1] });
    const backlashMm = other.value.backlash.circumferentialMm;
    if (backlashMm < -1e-9) unwise.push({ code: "gear-does-not-mesh", name: gear.name, backlashMm });
    for (const of of unwiseIn(otherPair))
      if (of.code !== "teeth-jam") unwise.push({ code: "of-a-gear", name: gear.name, of });
  }
  return accept(unwise);
}
