import type { PlanetaryReason } from "../core/planetary";

/** Why a set does not go together, in a sentence. */
export function planetaryReasonText(reason: PlanetaryReason): string {
  switch (reason.code) {
    case "not-coaxial": {
      const off = reason.ring - reason.wanted;
      const shift = Math.abs(off) <= 2 ? "; profile shift can make that up" : "";
      return `Ring ${reason.at + 1} has ${reason.ring} teeth; standard gears on one axis want ${reason.wanted}${shift}.`;
    }
    case "phases-do-not-meet":
      return `Sun and ring have ${reason.sum} teeth together, which ${reason.planets} equally spaced planets do not divide.`;
    case "steps-do-not-meet":
      return `The step between the two planet gears leaves ${reason.difference} teeth, which ${reason.planets} like planets do not divide.`;
    case "planets-touch":
      return `Neighbouring planets would touch: ${Number((-reason.gapModules).toPrecision(3))} modules short of room.`;
    case "no-ratio":
      return "The output stands still with the fixed member: there is no ratio.";
  }
}
