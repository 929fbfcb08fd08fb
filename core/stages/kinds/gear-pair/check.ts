import { gearPair, unwiseIn } from "../../../gears";
import { accept, type Result, refuse } from "../../../quantity";
import { shiftTravel } from "../../../shifting";
import type { Unwise } from "../../unwise";
import { gearsOf, positionOf } from "./gears";
import type { GearElement } from "./schema";

/** The pair itself, and every further gear of a switchable one at the same centre distance. */
export function checkGears(element: GearElement): Result<Unwise[]> {
  const { pair, parts, gears, gearName } = element;
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
      centreDistanceMm: positionOf(element, gear.name)?.centreDistanceMm ?? mesh.value.centreDistanceMm,
    };
    const other = gearPair(otherPair);
    if (!other.ok)
      return refuse("gear-has-no-mesh", ["gears", i], { name: gear.name, sum: pair.teeth[0] + pair.teeth[1] });
    const backlashMm = other.value.backlash.circumferentialMm;
    if (backlashMm < -1e-9) unwise.push({ code: "gear-does-not-mesh", name: gear.name, backlashMm });
    for (const of of unwiseIn(otherPair))
      if (of.code !== "teeth-jam") unwise.push({ code: "of-a-gear", name: gear.name, of });
  }
  const misplaced = checkPositions(element);
  return misplaced.ok ? accept([...unwise, ...misplaced.value]) : misplaced;
}

/** Positions and slide name gears that there are, each once; of a slide that does not meet its mates, what is wrong. */
function checkPositions(element: GearElement): Result<Unwise[]> {
  const names = element.gears ? gearsOf(element).map(({ name }) => name) : [];
  const { positions = [], slide } = element;
  const unknown = positions.findIndex(({ gear }) => !names.includes(gear));
  if (unknown >= 0)
    return refuse("no-such-gear", ["positions", unknown, "gear"], { gear: positions[unknown]?.gear ?? "" });
  const twice = positions.findIndex(({ gear }, i) => positions.slice(0, i).some((other) => other.gear === gear));
  if (twice >= 0) return refuse("part-twice", ["positions", twice, "gear"]);
  if (!slide) return accept([]);
  for (const side of ["left", "right"] as const)
    if (!names.includes(slide[side])) return refuse("no-such-gear", ["slide", side], { gear: slide[side] });
  if (slide.left === slide.right) return refuse("part-twice", ["slide", "right"]);
  const travel = shiftTravel(slide.travel);
  if (!travel.ok)
    return { ok: false, refusal: { ...travel.refusal, path: ["slide", "travel", ...travel.refusal.path] } };
  const { left, right, neutralMm, neutralOk } = travel.value;
  const unwise: Unwise[] = [];
  if (!neutralOk) unwise.push({ code: "neutral-not-as-wanted", neutralMm });
  for (const [gear, end] of [
    [slide.left, left],
    [slide.right, right],
  ] as const)
    if (!end.ok) unwise.push({ code: "face-not-in-mesh", name: gear, share: end.share, spacerMm: end.spacerChangeMm });
  const { ends, left: atLeft, right: atRight } = slide.actuator ?? { ends: null, left: 0, right: 0 };
  if (ends)
    for (const [gear, at] of [
      [slide.left, atLeft],
      [slide.right, atRight],
    ] as const)
      if (at < ends[0] || at > ends[1]) unwise.push({ code: "beyond-actuator", name: gear, at, ends });
  return accept(unwise);
}
