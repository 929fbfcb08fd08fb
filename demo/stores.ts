import type { Figures, StoreKind } from "../core/stores";

export type DemoItem = {
  kind: StoreKind;
  name: string;
  nominalMm: number | null;
  measuredMm?: number;
  figures?: Figures;
  count: number;
  place: string;
  price?: number;
  gone?: boolean;
};

const shim = (nominalMm: number, count: number, measuredMm?: number): DemoItem => ({
  kind: "shim",
  name: `Shim 20 × 28 × ${nominalMm}`,
  nominalMm,
  figures: { boreMm: 20, outerMm: 28 },
  count,
  place: "Cabinet 2, drawer 4",
  price: 0.35,
  ...(measuredMm === undefined ? {} : { measuredMm }),
});
const spacer = (nominalMm: number, count: number): DemoItem => ({
  kind: "spacer",
  name: `Spacer 20 × 26 × ${nominalMm}`,
  nominalMm,
  figures: { boreMm: 20, outerMm: 26 },
  count,
  place: "Cabinet 2, drawer 5",
  price: 1.2,
});
const gear = (teeth: number, moduleMm: number, count: number, price: number, noise = ""): DemoItem => ({
  kind: "gear",
  name: `Gear m ${moduleMm} z ${teeth}`,
  nominalMm: null,
  figures: {
    teeth,
    moduleMm,
    pressureAngleDeg: 20,
    faceWidthMm: 10 * moduleMm,
    boreMm: 20,
    ...(noise ? { noise } : {}),
  },
  count,
  place: "Rack 1",
  price,
});

/** What lies in the drawers of the carton works. */
export const storeItems: readonly DemoItem[] = [
  shim(0.05, 8, 0.051),
  shim(0.1, 10, 0.101),
  shim(0.2, 6, 0.199),
  shim(0.3, 4),
  shim(0.5, 6, 0.502),
  shim(1, 4),
  { ...shim(0.0508, 12), name: "Shim 2 thou", place: "Cabinet 2, drawer 4, tin" },
  { ...shim(0.15, 0), gone: true },
  spacer(0.5, 6),
  spacer(0.8, 2),
  spacer(1, 5),
  spacer(1.6, 3),
  spacer(2, 4),
  spacer(2.5, 3),
  spacer(5, 2),
  { kind: "feeler", name: "Feeler leaf 0.05", nominalMm: 0.05, count: 2, place: "Bench drawer" },
  { kind: "feeler", name: "Feeler leaf 0.10", nominalMm: 0.1, count: 2, place: "Bench drawer" },
  ...[18, 20, 21, 24, 25, 27, 30, 32, 36, 40, 42, 45, 48, 54, 60, 63].map((teeth) =>
    gear(teeth, 2, teeth % 3 === 0 ? 2 : 1, Number((9 + teeth * 0.42).toFixed(2)), teeth === 36 ? "ground, quiet" : ""),
  ),
  ...[17, 20, 21, 22, 63, 68].map((teeth) => gear(teeth, 1.5, 2, Number((8 + teeth * 0.4).toFixed(2)))),
  ...[20, 24, 40, 60].map((teeth) => gear(teeth, 3, 1, Number((14 + teeth * 0.61).toFixed(2)))),
  {
    kind: "pulley",
    name: "Pulley 8M 24",
    nominalMm: null,
    figures: { teeth: 24, pitchMm: 8, boreMm: 20 },
    count: 1,
    place: "Rack 2",
    price: 31,
  },
  {
    kind: "belt",
    name: "Belt 8M 896",
    nominalMm: 896,
    figures: { teeth: 112, pitchMm: 8, widthMm: 30 },
    count: 2,
    place: "Hooks, hall A",
    price: 48,
  },
  {
    kind: "belt",
    name: "Belt 5M 750",
    nominalMm: 750,
    figures: { teeth: 150, pitchMm: 5, widthMm: 15 },
    count: 0,
    place: "Hooks, hall A",
    gone: true,
  },
  {
    kind: "chain",
    name: "Chain 1/2 in, roll",
    nominalMm: null,
    figures: { pitchMm: 12.7, links: 394 },
    count: 1,
    place: "Rack 3",
    price: 96,
  },
  {
    kind: "bearing",
    name: "Deep groove 20 × 47 × 14",
    nominalMm: 20,
    figures: { outerMm: 47, widthMm: 14 },
    count: 5,
    place: "Cabinet 1",
    price: 6.8,
  },
  {
    kind: "screw",
    name: "M8 × 30, 8.8",
    nominalMm: 30,
    figures: { size: "M8", propertyClass: "8.8" },
    count: 140,
    place: "Bins",
    price: 0.12,
  },
  {
    kind: "compound",
    name: "Threadlocking compound, medium",
    nominalMm: null,
    figures: { strength: "medium" },
    count: 3,
    place: "Cabinet 1",
    price: 11.5,
  },
];
