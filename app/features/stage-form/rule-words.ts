import { formatNumber } from "~/app/features/words/figure";
import type { Reader } from "~/app/features/words/reader";
import type { Recommended } from "~/core/stages";

/** A recommended window's formula with its numbers, and where it comes from. */
export function ruleWords(reader: Reader, { rule, facts }: Recommended): string {
  const f = (name: string, digits = 2) =>
    formatNumber(reader, facts[name] ?? 0, digits)
      .replace(/(\.\d*?)0+$/, "$1")
      .replace(/\.$/, "");
  switch (rule) {
    case "worm":
      return `0.04 to 0.06·m_x and 0.05 mm for runout, m_x ${f("m")} (common practice)`;
    case "bevel":
      return facts.twice
        ? `0.03·m, 0.05 mm at least, and up to twice that for its runout, m ${f("m")} (common practice)`
        : `0.03 to 0.05·m, 0.05 mm at least, m ${f("m")} (common practice)`;
    case "toothed-belt-pull":
      return `half of F_u to F_u, F_u = 2000·${f("torqueNm", 3)}/${f("d")} = ${f("pull", 0)} N (common practice)`;
    case "v-belt-pull":
      return `T₀ = 500·(2.5/${f("factor")} − 1)·${f("powerKw")}/(${f("belts", 0)}·${f("speedMPerS")}) + m·v², wrap ${f("wrap", 0)}°; new belts to 1.5 times that (from memory)`;
    case "chain-sag":
      return `2 to 4 % of the span of ${f("span", 0)} mm (common practice)`;
    case "chain-sag-steep":
      return `1 to 2 % of the span of ${f("span", 0)} mm, steeper than 45° (common practice)`;
    case "chain-wear":
      return `3 %, or 200/z2 % with ${f("z2", 0)} teeth if that is less (Machinery's Handbook)`;
    case "float-ball":
      return "deep groove ball bearings, located on one side (common practice)";
    case "float-taper":
      return "taper bearings in light gearboxes, cold (common practice)";
    case "float-bush":
      return "plain bushes (common practice)";
    case "starter-pinion":
      return "an eighth of an inch is usual on engine starters, half of it the least (common practice)";
    case "angle-toothed":
      return "a quarter of a degree in all (common practice)";
    case "angle-v":
      return "half a degree in all (common practice)";
    case "offset-belt":
      return `what ${f("angle")}° make over ${f("centre", 0)} mm (common practice)`;
    case "offset-chain":
      return `0.2 % of ${f("centre", 0)} mm of centres (common practice)`;
    case "align-speed":
      return `shafts of a coupling up to ${f("rpm", 0)} turns a minute, or what the coupling allows if that is less (common practice)`;
    case "switch-window":
      return `from the ${f("stops", 1)} it stops in${facts.read ? ", as read" : ", v·t + v²/(2a)"}, to the ${f("room", 1)} between work and buffer; set near the middle (common practice)`;
    case "coupling-axial":
      return `the ${f("gap")} mm between the hubs, ± ${f("axial")} mm that the coupling allows (its maker)`;
    case "runout-shows":
      return "0.13 mm already shows in the running (common practice)";
  }
}
