export const storeKinds = [
  "shim",
  "spacer",
  "feeler",
  "gear",
  "pulley",
  "belt",
  "chain",
  "bearing",
  "screw",
  "compound",
] as const;
export type StoreKind = (typeof storeKinds)[number];

export type Figure = {
  key: string;
  label: string;
  /** Whole numbers of pieces, or text; otherwise a number. */
  is?: "whole" | "text";
};

export type KindOfStock = {
  word: string;
  words: string;
  /** What its nominal size is called, mm; null where it has none of its own. */
  nominal: string | null;
  figures: readonly Figure[];
};

const whole = (key: string, label: string): Figure => ({ key, label, is: "whole" });
const mm = (key: string, label: string): Figure => ({ key, label: `${label}, mm` });

/** What is told apart by what: sizes in mm. */
export const kindsOfStock: Record<StoreKind, KindOfStock> = {
  shim: {
    word: "shim",
    words: "Shims",
    nominal: "Thickness",
    figures: [mm("boreMm", "Bore"), mm("outerMm", "Outside"), { key: "shape", label: "Shape", is: "text" }],
  },
  spacer: {
    word: "spacer",
    words: "Spacers",
    nominal: "Width",
    figures: [mm("boreMm", "Bore"), mm("outerMm", "Outside")],
  },
  feeler: { word: "feeler", words: "Feelers", nominal: "Thickness", figures: [] },
  gear: {
    word: "gear",
    words: "Gears",
    nominal: null,
    figures: [
      whole("teeth", "Teeth"),
      mm("moduleMm", "Normal module"),
      { key: "pressureAngleDeg", label: "Pressure angle, °" },
      { key: "helixAngleDeg", label: "Helix angle, °" },
      { key: "profileShift", label: "Profile shift" },
      mm("faceWidthMm", "Face width"),
      mm("boreMm", "Bore"),
      { key: "noise", label: "Noise class, as noted", is: "text" },
    ],
  },
  pulley: {
    word: "pulley",
    words: "Pulleys",
    nominal: null,
    figures: [
      whole("teeth", "Teeth"),
      mm("pitchMm", "Pitch"),
      mm("pitchDiameterMm", "Pitch diameter"),
      mm("boreMm", "Bore"),
    ],
  },
  belt: {
    word: "belt",
    words: "Belts",
    nominal: "Length",
    figures: [whole("teeth", "Teeth"), mm("pitchMm", "Pitch"), mm("widthMm", "Width")],
  },
  chain: { word: "chain", words: "Chain", nominal: null, figures: [mm("pitchMm", "Pitch"), whole("links", "Links")] },
  bearing: {
    word: "bearing",
    words: "Bearings",
    nominal: "Bore",
    figures: [mm("outerMm", "Outside"), mm("widthMm", "Width")],
  },
  screw: {
    word: "screw",
    words: "Screws",
    nominal: "Length",
    figures: [
      { key: "size", label: "Size", is: "text" },
      { key: "propertyClass", label: "Property class", is: "text" },
    ],
  },
  compound: {
    word: "compound",
    words: "Compounds",
    nominal: null,
    figures: [{ key: "strength", label: "Strength", is: "text" }],
  },
};

export type Figures = Record<string, number | string>;

/** Every figure that any kind has, once, in the order of the kinds: the columns of a sheet of everything. */
export const everyFigure: readonly Figure[] = [
  ...new Map(
    storeKinds.flatMap((kind) => kindsOfStock[kind].figures).map((figure) => [figure.key, figure] as const),
  ).values(),
];
