import { formatNumber } from "~/app/features/words/figure";
import type { Reader } from "~/app/features/words/reader";
import { planetarySet } from "~/core/planetary";
import { count, pitch, type Reading, slant } from "../../form/field-readers";
import { numberText as n } from "../../form/number-text";
import type { Figure, KindForm } from "../kind-form";
import { clockingWords } from "./clocking-words";
import { PlanetaryFields } from "./fields";
import { helicalFigures } from "./helical-figures";

const f = (reader: Reader, value: number, decimals = 3) => formatNumber(reader, value, decimals);

export const planetary: KindForm<"planetary"> = {
  Fields: PlanetaryFields,
  read: (read) => {
    const moduleMm = read.has("pitch") ? pitch(read, "pitch") : undefined;
    const shared = {
      sun: count(read, "sun", 3),
      planets: count(read, "planets", 1),
      ...(moduleMm === undefined ? {} : { moduleMm }),
    };
    const member = memberOf(read);
    if (read.text("planetary") !== "compound")
      return {
        kind: "planetary",
        set: {
          kind: "simple",
          ...shared,
          planet: [count(read, "planetA", 3)],
          ring: [count(read, "ring1", 3)],
          fixed: member("fixed", simpleMembers, "ring"),
          input: member("input", simpleMembers, "sun"),
          output: member("output", simpleMembers, "carrier"),
        },
        ...readHelix(read, false),
      };
    return {
      kind: "planetary",
      set: {
        kind: "compound-two-ring",
        ...shared,
        planet: [count(read, "planetA", 3), count(read, "planetB", 3)],
        ring: [count(read, "ring1", 3), count(read, "ring2", 3)],
        fixed: member("fixed", compoundMembers, "ring1"),
        input: member("input", compoundMembers, "sun"),
        output: member("output", compoundMembers, "ring2"),
      },
      ...readHelix(read, true),
    };
  },
  texts: (reader, { set, helix }) => ({
    kind: "planetary",
    planetary: set.kind === "simple" ? "simple" : "compound",
    sun: String(set.sun),
    planets: String(set.planets),
    planetA: String(set.planet[0]),
    planetB: n(reader, set.planet[1]),
    ring1: String(set.ring[0]),
    ring2: n(reader, set.ring[1]),
    pitch: n(reader, set.moduleMm),
    fixed: set.fixed,
    input: set.input,
    output: set.output,
    helix1: helix && helix.ring1Deg !== 0 ? n(reader, Math.abs(helix.ring1Deg)) : "",
    helix1Hand: (helix?.ring1Deg ?? 0) < 0 ? "left" : "right",
    helix2: helix?.ring2Deg ? n(reader, Math.abs(helix.ring2Deg)) : "",
    helix2Hand: (helix?.ring2Deg ?? 0) < 0 ? "left" : "right",
  }),
  figures: (reader, element) => {
    const { set: given } = element;
    const set = planetarySet(given);
    if (!set.ok) return [];
    const { ratio, neighbourGapMm, clockingSteps } = set.value;
    const gap: Figure[] =
      neighbourGapMm === undefined ? [] : [["Between planets", `${f(reader, neighbourGapMm, 2)} mm`]];
    const marks = clockingWords(reader, clockingSteps, given.planet[0]);
    const clocking: Figure[] = marks ? [["Clocking", marks]] : [];
    return [
      ["Ratio", ratio === null ? "none" : `${f(reader, ratio)}${ratio < 0 ? ", reversed" : ""} (Willis)`],
      ...gap,
      ...clocking,
      ...helicalFigures(reader, element),
    ];
  },
  turned: "whole",
  usualLimits: "angular-backlash",
  AskedFor: null,
  Recommend: null,
  byRule: null,
  noRule: "No rule is known for a whole set: take the maker's, or twice what it read when it was new.",
  means: [],
  moved: () => "pinion",
  ways: () => null,
  shims: { label: "Centres a mm of shim", drawn: ["gear", "part", "centres"], remark: "" },
};

/** Left out where both rings are spur. */
function readHelix(read: Reading, compound: boolean) {
  const ring1Deg = slant(read, "helix1", "helix1Hand");
  const ring2Deg = compound ? slant(read, "helix2", "helix2Hand") : 0;
  if (ring1Deg === 0 && ring2Deg === 0) return {};
  return { helix: { ring1Deg, ...(ring2Deg === 0 ? {} : { ring2Deg }) } };
}

const simpleMembers = ["sun", "carrier", "ring"] as const;
const compoundMembers = ["sun", "carrier", "ring1", "ring2"] as const;

const memberOf =
  (read: Reading) =>
  <M extends string>(name: string, members: readonly M[], usual: M): M =>
    members.find((known) => known === read.text(name)) ?? usual;
