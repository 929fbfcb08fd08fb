import { formatNumber } from "~/app/features/words/figure";
import type { Reader } from "~/app/features/words/reader";
import { planetaryReasonText } from "~/calc/planetary-reason";
import type { CouplingFault } from "~/core/couplings";
import type { PitchMatch } from "~/core/gears";
import type { Unwise } from "~/core/stages";
import { travelFaultWords } from "../axes/travel-words";

const member = (i: 0 | 1): string => (i === 0 ? "pinion" : "gear");
const f = (reader: Reader, value: number, decimals = 2): string => formatNumber(reader, value, decimals);

/** What is unwise about a pair, and what comes of it. It is said and recorded, never refused. */
export function unwiseWords(reader: Reader, unwise: Unwise): string {
  switch (unwise.code) {
    case "undercut":
      return `The ${member(unwise.member)} is undercut: its flanks are cut away at the root, and of the contact ratio ${f(reader, unwise.path)} that the tips reach ${f(reader, unwise.usable)} is usable. A positive shift helps.`;
    case "thin-contact-ratio":
      return `Usable contact ratio ${f(reader, unwise.ratio)}: below 1.2 the load jumps from tooth to tooth; it will be heard (common practice).`;
    case "handed-on-with-a-jerk":
      return `Usable contact ratio ${f(reader, unwise.ratio)}: below 1.0 a tooth lets go before the next one has hold. The load is handed on with a jerk.`;
    case "unequal-pitches":
      return `Base pitches differ by ${f(reader, Math.abs(unwise.errorPercent), 1)} %: ${matchWords[unwise.match]}`;
    case "thin-wall":
      return `Only ${f(reader, unwise.wallMm)} mm of wall is left under the ${member(unwise.member)}'s root; ${f(reader, unwise.wantedMm)} mm, one tooth depth, is wanted, or the rim breaks before the tooth (common practice).`;
    case "teeth-jam":
      return `At this centre distance the teeth overlap by ${f(reader, -unwise.backlashMm)} mm: thinned teeth may still run, full ones jam.`;
    case "tip-fouls-root":
      return `The tip of the ${member(unwise.member)} runs into the root of the other by ${f(reader, -unwise.clearanceMm)} mm.`;
    case "worm-jams":
      return `The centres stand ${f(reader, unwise.byMm)} mm closer than nominal: full teeth jam there, thinned ones may still run.`;
    case "worm-thin":
      return `The worm is ${f(reader, unwise.quotient, 1)} modules thick; 8 to 18 are usual (common practice): it bends under load.`;
    case "worm-seems-self-locking":
      return `At a lead of ${f(reader, unwise.leadAngleDeg, 1)}° it seems to hold its load (common practice: below 5°). It is no brake: land the load first.`;
    case "bevel-undercut":
      return `The ${member(unwise.member)} counts as a spur gear of ${f(reader, unwise.virtualTeeth, 1)} teeth and is undercut below ${f(reader, unwise.least, 1)}.`;
    case "bevel-internal":
      return `At this shaft angle the gear's pitch angle is ${f(reader, unwise.pitchAngleDeg, 1)}°: an internal or crown bevel.`;
    case "not-coaxial":
    case "phases-do-not-meet":
    case "steps-do-not-meet":
    case "planets-touch":
    case "no-ratio":
      return planetaryReasonText(unwise);
    case "of-a-gear":
      return `With ${unwise.name} in: ${unwiseWords(reader, unwise.of)}`;
    case "gear-does-not-mesh":
      return `The gear ${unwise.name} overlaps by ${f(reader, -unwise.backlashMm)} mm at this centre distance: thinned teeth may still run, full ones jam.`;
    case "neutral-not-as-wanted":
      return unwise.neutralMm < 0
        ? `Both gears are in at once for ${f(reader, -unwise.neutralMm)} mm of the travel: no stop cures that, only narrower faces.`
        : `The neutral of ${f(reader, unwise.neutralMm)} mm is not as wanted: only the faces can change it.`;
    case "face-not-in-mesh":
      return `Against the stop of ${unwise.name} only ${f(reader, 100 * unwise.share, 0)} % of the face is in mesh: a spacer ${f(reader, Math.abs(unwise.spacerMm))} mm ${unwise.spacerMm > 0 ? "thicker" : "thinner"} brings it in full.`;
    case "beyond-actuator":
      return `For ${unwise.name} the actuator would have to stand at ${f(reader, unwise.at, 1)}; it only goes from ${f(reader, unwise.ends[0], 1)} to ${f(reader, unwise.ends[1], 1)}.`;
    case "few-teeth-in-mesh":
      return `Only ${unwise.teeth} teeth in mesh on the smaller pulley; six carry the full load, each one less takes about a fifth off (common practice).`;
    case "little-wrap":
      return `The smaller wheel is wrapped by ${f(reader, unwise.wrapDeg, 0)}°; ${f(reader, unwise.leastDeg, 0)}° are wanted (common practice).`;
    case "belt-slack":
      return `The belt is ${f(reader, unwise.byMm, 1)} mm longer than its path: it hangs, unless the centres part.`;
    case "odd-links":
      return `An odd number of links needs a cranked one, about a fifth weaker (common practice); ${unwise.even} would not.`;
    case "few-sprocket-teeth":
      return `A sprocket of ${unwise.teeth} teeth runs unevenly; 17 or more run quietly (common practice).`;
    case "coupling-end":
      return couplingEndWords(reader, unwise);
    case "axis-travel":
      return `${unwise.end === "sensor" ? "The position sensor" : `The ${unwise.end} end`} ${travelFaultWords(unwise.fault, unwise.end === "sensor" ? f(reader, unwise.by) : `${f(reader, unwise.by, 1)} ${unwise.unit === "mm" ? "mm" : "°"}`)}${unwise.fault === "no-room" ? ": no place of the switch cures that, only more way, less speed or a better brake" : ""}.`;
    case "strand-overstretched":
      return `A strand would be stretched too far: with these the travel may be ${f(reader, unwise.reachMm, 0)} mm. More of it at the top, or fewer mm of strand a mm of load.`;
    case "strand-beyond-reading":
      return "A strand goes beyond what was read of it: read it there before trusting the balance.";
    case "motor-too-weak":
      return `In ${unwise.gear} the motor would have to give ${f(reader, unwise.neededNm)} N·m, ${f(reader, 100 * unwise.share, 0)} % of what it has: it does not lift it.`;
    case "centres-out-of-range":
      return `The centres are ${f(reader, unwise.pitches, 0)} pitches apart; 30 to 50 are usual, 80 the most (common practice).`;
  }
}

const endFaults: Partial<Record<CouplingFault, string>> = {
  "bore-too-tight": "The bore is too tight on the {end} shaft by {by}: it is not driven on.",
  "bore-too-wide":
    "The bore is {by} wider on the {end} shaft than the 0.05 mm that are good (common practice): it runs out, and the clamp slips.",
  "key-too-tight": "The key is {by} too thick for its slot on the {end} shaft: it is dressed, not driven.",
  "key-too-wide":
    "The key has {by} more play on the {end} shaft than the 0.05 mm that are good (common practice): it hammers.",
  "flat-too-tight": "The flat is {by} too tight on the {end} shaft.",
  "flat-too-wide":
    "The flat has {by} more play on the {end} shaft than the 0.05 mm that are good (common practice): it hammers.",
};

const couplingEndWords = (reader: Reader, { fault, end, byMm }: Extract<Unwise, { code: "coupling-end" }>): string =>
  (endFaults[fault] ?? "")
    .replace("{end}", end === 0 ? "driving" : "driven")
    .replace("{by}", `${f(reader, byMm, 3)} mm`);

export const matchWords: Record<PitchMatch, string> = {
  same: "one pitch; they mesh as they should.",
  "near-miss": "a near miss, sold as one and running as one; the pair is a little louder.",
  rough: "they turn together, rough and loud, and wear.",
  strips: "they turn by hand and slowly, and strip at speed.",
  "no-mesh": "they do not mesh.",
};
