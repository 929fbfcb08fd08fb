import { formatNumber } from "~/app/features/words/figure";
import type { Reader } from "~/app/features/words/reader";
import { type AxialForce, axialForces, ringsGoOn } from "~/core/planetary";
import type { PlanetaryElement } from "~/core/stages";
import { handOf } from "../../words/hand";
import type { Figure } from "../kind-form";

const memberWords: Record<AxialForce["member"], string> = {
  sun: "sun",
  ring: "ring",
  ring1: "ring 1",
  ring2: "ring 2",
  planet: "each planet",
};

/** Of helical teeth: the hands, what they push along the axis, and in which order the set goes together. */
export function helicalFigures(reader: Reader, { set, helix }: PlanetaryElement): Figure[] {
  if (!helix) return [];
  const f = (value: number, decimals: number) => formatNumber(reader, Math.abs(value), decimals);
  const forces = axialForces(set, helix);
  const pushed = (forces ?? []).map(({ member, perNm }) =>
    Math.abs(perNm) < 0.005
      ? `${memberWords[member]} none`
      : `${memberWords[member]} ${f(perNm, 2)} ${perNm > 0 ? "away" : "towards you"}`,
  );
  const { rings, bothAtOnce } = ringsGoOn(set, helix);
  const slanted = rings.filter(({ turnDegPerMm }) => turnDegPerMm !== 0);
  const turns = slanted.map(({ ring, turnDegPerMm }) => {
    const name = rings.length === 1 ? "the ring" : `ring ${ring}`;
    return `${name} turns ${f(turnDegPerMm, 2)}° a mm ${turnDegPerMm > 0 ? "clockwise" : "counter-clockwise"} as it goes on`;
  });
  const order =
    rings.length === 1 || bothAtOnce
      ? "It goes together: planets by their marks, then ring and sun, each free to turn as it goes on"
      : "It goes together one ring after the other: planets by their marks into ring 1, then the sun, ring 2 last and free to turn; both rings at once do not go on";
  return [
    [
      "Hands",
      `${rings.length === 1 ? "ring" : "ring 1"} ${handOf(helix.ring1Deg)}${rings.length === 1 ? "" : `, ring 2 ${handOf(helix.ring2Deg ?? 0)}`}; the sun ${handOf(-helix.ring1Deg)}`,
    ],
    ...(forces
      ? [
          [
            "Pushed, N a N·m",
            `${pushed.join(", ")}, while the output turns clockwise as you look at it; the other way round they change sides`,
          ] as Figure,
        ]
      : []),
    ["Put together", `${order}; ${turns.join(", ")}`],
  ];
}
