import type { PartCondition, PartFate, ScrewState, TurnDeed, TurnFeel, TurnFind, TurnWay } from "../core/guides";
import type { Done } from "./visits";

/** The strapper's gearbox, taken apart for a knock: one bearing 0.3 mm too narrow, one burr found by turning. */

type Set = { size: string; lengthMm: number; count: number; washers: number; where: string };
type Off = {
  screws?: Set[] | null;
  conditions?: PartCondition[];
  fate?: PartFate;
  side?: string;
  facing?: string;
  mark?: string;
  massKg?: number;
  beforeHidden?: string;
  note?: string;
};
const names: Record<string, string> = {
  motor: "Motor",
  cover: "Cover",
  near: "Bearing, near end",
  slider: "Sliding gear",
  far: "Bearing, far end",
  shaft: "Output shaft",
};
const sets: Record<string, Set[]> = {
  motor: [{ size: "M5", lengthMm: 20, count: 4, washers: 4, where: "back in their holes" }],
  cover: [
    { size: "M4", lengthMm: 16, count: 6, washers: 6, where: "card, as they sat" },
    { size: "M4", lengthMm: 25, count: 2, washers: 0, where: "card, the two at the dowels" },
  ],
};

const off = (key: string, { screws = sets[key] ?? [], fate, ...said }: Off): Done => ({
  id: `off-${key}`,
  work: { kind: "part-off", key, name: names[key], screws, fate: fate ?? null, ...said },
});
const on = (key: string, said: object = {}): Done => ({
  work: {
    kind: "part-on",
    key,
    name: names[key],
    screws: (sets[key] ?? []).map((set) => ({ ...set, in: set.count, washersIn: set.washers })),
    state: sets[key] ? "started" : null,
    ...said,
  },
});
const screws = (key: string, state: ScrewState): Done => ({
  work: {
    kind: "part-screws",
    key,
    screws: (sets[key] ?? []).map((set) => ({ ...set, in: set.count, washersIn: set.washers })),
    state,
  },
});
const turned = (feel: TurnFeel, way: TurnWay = "as built", found: TurnFind[] = [], did: TurnDeed[] = []): Done => ({
  work: { kind: "turned", way, feel, found, did },
});
const photograph = (of: string, caption: string, svg: string): Done => ({
  photograph: { id: `photo-${of}`, names: `off-${of}`, name: `${of}.jpg`, caption, svg },
});

const ground = "#d5d9d8";
const drawn = (inner: string): string =>
  `<svg xmlns="http://www.w3.org/2000/svg" width="900" height="640"><rect width="900" height="640" fill="${ground}"/>${inner}</svg>`;
const ring = (x: number, y: number, outer: number, bore: number, fill = "#8b949b"): string =>
  `<circle cx="${x}" cy="${y}" r="${outer}" fill="${fill}"/><circle cx="${x}" cy="${y}" r="${outer * 0.82}" fill="#6d7780"/>
   <circle cx="${x}" cy="${y}" r="${outer * 0.62}" fill="${fill}"/><circle cx="${x}" cy="${y}" r="${bore}" fill="#20292f"/>`;

const coverPicture = drawn(
  `<rect x="150" y="90" width="600" height="460" rx="40" fill="#8b949b"/>${[
    [200, 140],
    [450, 130],
    [700, 140],
    [200, 500],
    [450, 510],
    [700, 500],
  ]
    .map(
      ([x, y]) =>
        `<circle cx="${x}" cy="${y}" r="20" fill="#2c3a45"/><path d="M${(x as number) - 12} ${y}h24" stroke="#8b949b" stroke-width="5"/>`,
    )
    .join("")}<circle cx="330" cy="320" r="110" fill="#6d7780"/><circle cx="560" cy="320" r="80" fill="#6d7780"/>`,
);
const bearingPicture = drawn(
  `${ring(450, 320, 230, 95)}<path d="M250 210a230 230 0 0 1 120-105" stroke="#b9c2c8" stroke-width="16" fill="none"/>
   <path d="M300 500a230 230 0 0 0 300 0" stroke="#c9d1d6" stroke-width="14" fill="none"/>`,
);
const burrPicture = drawn(
  `<path d="M60 420h780v120h-780z" fill="#8b949b"/>${[0, 1, 2, 3]
    .map((i) => `<path d="M${110 + i * 190} 420l26-180h88l26 180z" fill="#6d7780"/>`)
    .join(
      "",
    )}<path d="M516 240l-22-26 34 8z" fill="#b0430d"/><circle cx="512" cy="226" r="58" fill="none" stroke="#b0430d" stroke-width="6"/>`,
);

/** What was done, in order. */
export const gearboxApart: readonly Done[] = [
  off("motor", { side: "right", massKg: 2.4, conditions: ["good"], fate: "goes back" }),
  off("cover", {
    conditions: ["dirty"],
    fate: "clean it",
    beforeHidden: "the shift fork in the groove of the sliding gear",
  }),
  photograph("cover", "Cover with its eight screws: the two long ones at the dowels", coverPicture),
  off("near", { facing: "shield outwards", conditions: ["good"], fate: "goes back" }),
  off("slider", {
    facing: "large wheel to the motor",
    mark: "dot to dot on the shaft",
    conditions: ["good"],
    fate: "goes back",
  }),
  photograph("slider", "Edge of the sliding gear where it binds: a burr at one tooth", burrPicture),
  off("far", { conditions: ["turning in its seat", "shiny band"], fate: "order one", facing: "shield outwards" }),
  photograph("far", "Shiny band all round the outer race: it turned in its seat", bearingPicture),
  off("shaft", { conditions: ["good"], fate: "goes back" }),
  {
    work: {
      kind: "seat",
      key: "far",
      name: names.far,
      seat: ["8.31", "8.30", "8.31"],
      part: ["8.01", "8.00"],
      instrumentId: "caliper",
      race: "outer",
      laid: [{ thicknessMm: 0.3, count: 1 }],
      stock: [{ itemId: "Shim 20 × 28 × 0.3", change: -1 }],
    },
  },
  on("shaft"),
  turned("free"),
  on("far", { fresh: true, note: "The new one is as narrow as the old; the seat was cut for a wider one" }),
  turned("free"),
  on("slider"),
  turned("stiff"),
  turned("free", "alone"),
  turned("stiff", "at that end only"),
  {
    id: "off-slider-2",
    work: {
      kind: "part-off",
      key: "slider",
      name: names.slider,
      screws: [],
      conditions: ["burr"],
      fate: "take off the burr",
    },
  },
  on("slider"),
  turned("free", "as built", ["burr"], ["filed", "blown out"]),
  on("near"),
  turned("free"),
  on("cover", { asItWentOn: "the shift fork in the groove of the sliding gear" }),
  screws("cover", "snug"),
  turned("free"),
  screws("cover", "firm"),
  turned("free"),
  on("motor"),
  screws("motor", "snug"),
  screws("motor", "firm"),
  turned("free"),
];

/** What was seen, kept as the guide; ids of photographs by their names in the demo. */
export const gearboxGuide = (photo: (of: string) => string) =>
  [
    { id: "shaft", name: names.shaft },
    {
      id: "far",
      name: names.far,
      facing: "shield outwards",
      after: ["shaft"],
      spacers: [{ widthMm: 0.3, count: 1, race: "outer" }],
      photographs: [photo("far")],
    },
    {
      id: "slider",
      name: names.slider,
      facing: "large wheel to the motor",
      mark: "dot to dot on the shaft",
      after: ["shaft", "far"],
      photographs: [photo("slider")],
    },
    { id: "near", name: names.near, facing: "shield outwards", after: ["slider"] },
    {
      id: "cover",
      name: names.cover,
      screws: (sets.cover ?? []).map((set) => ({ ...set, torqueNm: 3, compound: false })),
      beforeHidden: "the shift fork in the groove of the sliding gear",
      hides: ["near", "slider"],
      photographs: [photo("cover")],
    },
    {
      id: "motor",
      name: names.motor,
      side: "right",
      massKg: 2.4,
      screws: (sets.motor ?? []).map((set) => ({ ...set, torqueNm: null, propertyClass: "8.8", compound: true })),
      after: ["cover"],
    },
  ] as const;
