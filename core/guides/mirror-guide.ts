import type { GuidePart } from "./schema";

const swapped: readonly (readonly [string, string])[] = [
  ["left", "right"],
  ["anticlockwise", "clockwise"],
  ["counter-clockwise", "clockwise"],
  ["counterclockwise", "clockwise"],
];

const other = new Map(
  swapped.flatMap(([a, b]): [string, string][] =>
    b === "clockwise"
      ? [[a, b]]
      : [
          [a, b],
          [b, a],
        ],
  ),
);
other.set("clockwise", "counter-clockwise");

const hands = new RegExp(
  `\\b(${[...other.keys()].sort((a, b) => b.length - a.length).join("|")})\\b(?!-hand(?:ed)? (?:thread|screw|nut))`,
  "gi",
);

/** A text as it reads for the other hand: left and right, clockwise and counter-clockwise change places; threads keep their hand, and all else stays. */
export const mirroredText = (text: string): string =>
  text.replace(hands, (found) => {
    const word = other.get(found.toLowerCase()) ?? found;
    return found.charAt(0) === found.charAt(0).toUpperCase() ? word.charAt(0).toUpperCase() + word.slice(1) : word;
  });

/** The same parts for a machine of the other hand: what names a side or a sense of turning changes; photographs stay behind. */
export const mirroredParts = (parts: readonly GuidePart[]): GuidePart[] =>
  parts.map((part) => ({
    ...part,
    name: mirroredText(part.name),
    side: mirroredText(part.side),
    facing: mirroredText(part.facing),
    mark: mirroredText(part.mark),
    beforeHidden: mirroredText(part.beforeHidden),
    asItGoesOn: mirroredText(part.asItGoesOn),
    tools: mirroredText(part.tools),
    screws: part.screws.map((set) => ({ ...set, where: mirroredText(set.where) })),
    photographs: [],
  }));
