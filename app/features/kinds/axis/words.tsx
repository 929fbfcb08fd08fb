import { formatNumber } from "~/app/features/words/figure";
import type { Reader } from "~/app/features/words/reader";
import { lengthWords } from "~/app/features/words/spoken";
import type { AxisElement } from "~/core/stages";
import { balanceOf, loadByGear, stopsIn, travelWith } from "~/core/stages/kinds/axis/travel";
import type { KindWords } from "../kind-words";
import { perUnitWords } from "../per-unit-words";
import { shortFigure } from "../plain-words";

/** "24.5 mm", "8.0°"; positions and ways of an axis. */
export const alongWords = (reader: Reader, { unit }: AxisElement, value: number, decimals = 1): string =>
  unit === "mm" ? lengthWords(reader, value, decimals) : `${formatNumber(reader, value, decimals)}°`;

export const axis: KindWords<"axis"> = {
  name: "axis",
  caution:
    "Axis: land or block the load before a switch, spring or cord is touched; springs and cords are released under control. Keep out of its way while it is tried. Whether its switches are safe enough for people is another matter.",
  size: () => "",
  line: (reader, element, head) =>
    `${head}, ${element.unit === "mm" ? "sliding" : "swinging"} ${alongWords(reader, element, element.work.hi - element.work.lo, 0)}`,
  drawn: () => "Both ends",
  tightSpot: () => "the end with less",
  beforeReading: () =>
    "Creep towards each end until its switch acts, and read from there to the first touch of the buffer. Behind the buffer with a minus. The cam has to hold the switch on from there to the solid stop.",
  stand: (where) => <>At the {where}. </>,
  parting: (_, way) => (way === "apart" ? "Towards the work" : "Towards the buffer"),
  notRound: () => "each end has a switch of its own",
  nothingToAdjust: "Each end has a switch of its own, moved by itself.",
  sensitivity: perUnitWords,
  waves: () => null,
  madeOf: () => "",
  side: () => "",
  afterEachPart: () => null,
  lookOver: [
    "The cam holds its switch on from where it acts to the solid stop",
    "Cables of the switches have room at both ends",
    "Springs, cords and their hooks are whole and held",
  ],
  thrust: null,
  facts: (reader, element) => [
    [
      "Stops in",
      `${alongWords(reader, element, stopsIn(element))}, ${element.stopsIn === null ? "computed" : "as read"}`,
    ],
    ...roomFacts(reader, element),
    ...sensorFacts(reader, element),
    ...balanceFacts(reader, element),
    ...motorFacts(reader, element),
  ],
  ways: ["moves the switch towards the work", "moves the switch towards the buffer"],
};

type Facts = (readonly [string, string])[];

function roomFacts(reader: Reader, element: AxisElement): Facts {
  const { ends } = travelWith(element, {});
  return (["low", "high"] as const).map((end) => [
    `Work to buffer, ${end} end`,
    alongWords(reader, element, ends[end].room),
  ]);
}

function sensorFacts(reader: Reader, element: AxisElement): Facts {
  const { sensor } = travelWith(element, {});
  if (!sensor) return [];
  const turns = (value: number) => formatNumber(reader, value, 2);
  const [low, high] = sensor.turnsLeft;
  return [
    [
      "Position sensor",
      `${turns(sensor.turnsUsed)} turns from buffer to buffer, ${turns(low)} and ${turns(high)} left; begins the work at ${turns(sensor.turnsAtLow)}`,
    ],
  ];
}

export function balanceFacts(reader: Reader, element: AxisElement): Facts {
  const balance = balanceOf(element);
  if (!balance || !element.balance) return [];
  const n = (value: number) => formatNumber(reader, value, 0);
  const better =
    balance.bestWorstN < balance.worstN - 0.5
      ? `; ${balance.bestStrands} strands would leave ${n(balance.bestWorstN)} N`
      : "";
  return [
    [
      "Balance",
      `${element.balance.strands} strands leave ${n(balance.worstN)} N at worst, going ${balance.worstGoing}${better}; ${
        balance.staysPut ? "it stays where it is left" : "it does not stay where it is left"
      }`,
    ],
  ];
}

function motorFacts(reader: Reader, element: AxisElement): Facts {
  const { motor } = element;
  return (loadByGear(element) ?? []).map(({ name, neededNm, margin }) => [
    `Motor, ${name}`,
    `${shortFigure(reader, neededNm, 2)} N·m needed at worst, ${shortFigure(reader, motor?.torqueNm ?? 0, 2)} there: ${formatNumber(reader, margin, 1)} times`,
  ]);
}
