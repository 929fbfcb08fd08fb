import type { PitchMatch, Unwise } from "~/core/gears";
import { formatNumber } from "~/core/quantity";

const member = (i: 0 | 1): string => (i === 0 ? "pinion" : "gear");
const f = (value: number, decimals = 2): string => formatNumber(value, decimals);

/** What is unwise about a pair, and what comes of it. It is said and recorded, never refused. */
export function unwiseWords(unwise: Unwise): string {
  switch (unwise.code) {
    case "undercut":
      return `The ${member(unwise.member)} is undercut: so few teeth without a shift are cut away at the root, which weakens them. A positive shift helps.`;
    case "thin-contact-ratio":
      return `Contact ratio ${f(unwise.ratio)}: below 1.2 the load jumps from tooth to tooth; it will be heard (common practice).`;
    case "unequal-pitches":
      return `Base pitches differ by ${f(Math.abs(unwise.errorPercent), 1)} %: ${matchWords[unwise.match]}`;
    case "thin-wall":
      return `Only ${f(unwise.wallMm)} mm of wall is left under the ${member(unwise.member)}'s root; ${f(unwise.wantedMm)} mm is wanted, or the rim breaks before the tooth.`;
    case "teeth-jam":
      return `At this centre distance the teeth overlap by ${f(-unwise.backlashMm)} mm: thinned teeth may still run, full ones jam.`;
    case "tip-fouls-root":
      return `The tip of the ${member(unwise.member)} runs into the root of the other by ${f(-unwise.clearanceMm)} mm.`;
  }
}

export const matchWords: Record<PitchMatch, string> = {
  same: "one pitch; they mesh as they should.",
  "near-miss": "a near miss, sold as one and running as one; the pair is a little louder.",
  rough: "they turn together, rough and loud, and wear.",
  strips: "they turn by hand and slowly, and strip at speed.",
  "no-mesh": "they do not mesh.",
};
