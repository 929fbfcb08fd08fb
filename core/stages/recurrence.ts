import { lcm } from "../numerics";
import { relativeSpeeds } from "../planetary";
import { isBelt, type StageElement } from "./element";
import { runDiameters, stagePath } from "./path";

export type RecurringPart =
  | "driver-turn"
  | "driven-turn"
  | "tooth"
  | "same-teeth"
  | "belt-round"
  | "chain-round"
  | "link"
  | "sun-tooth"
  | "ring-tooth"
  | "carrier-turn"
  | "worm-turn";

/** Something of a stage that comes round, and how often; `timesPerTurn` of its driving shaft. */
export type Recurrence = { part: RecurringPart; timesPerTurn: number };

/**
 * What comes round in a stage, by turns of its driving shaft: for finding what a knock or a growl belongs to. Signs of turning do not
 * matter here. In a planetary set N planets pass a tooth of the sun N times as often as the sun turns against the carrier, and one of the ring N times
 * as often as the ring does (Willis): each has a frequency of its own.
 */
export function recurrencesOf(element: StageElement): Recurrence[] {
  const teeth = (z1: number, z2: number): Recurrence[] => [
    { part: "driver-turn", timesPerTurn: 1 },
    { part: "driven-turn", timesPerTurn: z1 / z2 },
    { part: "tooth", timesPerTurn: z1 },
    { part: "same-teeth", timesPerTurn: z1 / lcm(z1, z2) },
  ];
  if (isBelt(element) || element.kind === "chain") {
    const path = stagePath(element);
    const [d1, d2] = runDiameters(element);
    const rounds = path.ok ? (Math.PI * d1) / path.value.laid.lengthMm : 0;
    const wheels: Recurrence[] = [
      { part: "driver-turn", timesPerTurn: 1 },
      { part: "driven-turn", timesPerTurn: d1 / d2 },
    ];
    return element.kind === "chain"
      ? [
          ...wheels,
          { part: "link", timesPerTurn: element.teeth[0] },
          { part: "chain-round", timesPerTurn: element.teeth[0] / element.links },
        ]
      : [
          ...wheels,
          ...(element.kind === "toothed-belt" ? [{ part: "tooth" as const, timesPerTurn: element.teeth[0] }] : []),
          { part: "belt-round", timesPerTurn: rounds },
        ];
  }
  switch (element.kind) {
    case "gear-pair":
      return teeth(element.pair.teeth[0], element.pair.teeth[1]);
    case "bevel":
      return teeth(element.bevel.teeth[0], element.bevel.teeth[1]);
    case "worm": {
      const { wormStarts, wheelTeeth } = element.worm;
      return [
        { part: "worm-turn", timesPerTurn: 1 },
        { part: "tooth", timesPerTurn: wormStarts },
        { part: "driven-turn", timesPerTurn: wormStarts / wheelTeeth },
      ];
    }
    case "planetary": {
      const { set } = element;
      const rel = (member: string) => relativeSpeeds(set)[member] ?? 0;
      const input = rel(set.input) - rel(set.fixed);
      // Turns of the sun against the carrier for one of the driving member.
      const against = input === 0 ? 0 : Math.abs(1 / input);
      const rings = set.kind === "simple" ? ["ring"] : ["ring1", "ring2"];
      return [
        { part: "driver-turn", timesPerTurn: 1 },
        { part: "sun-tooth", timesPerTurn: set.planets * against },
        ...rings.map((ring) => ({
          part: "ring-tooth" as const,
          timesPerTurn: set.planets * Math.abs(rel(ring)) * against,
        })),
        { part: "carrier-turn", timesPerTurn: Math.abs(rel(set.fixed)) * against },
        { part: "tooth", timesPerTurn: set.sun * against },
        { part: "driven-turn", timesPerTurn: Math.abs(rel(set.output) - rel(set.fixed)) * against },
      ];
    }
    case "gap":
      return [];
  }
}
