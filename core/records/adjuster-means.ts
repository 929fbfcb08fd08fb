/** How the technician knows the adjuster; the law behind it is one of the contract's. */
export const adjusterMeans = [
  "slot",
  "jack-screw",
  "jack-screws",
  "pivot",
  "lever",
  "eccentric",
  "shims",
  "spacers",
  "roller-holes",
  "roller-diameter",
  "stop",
] as const;
export type AdjusterMeans = (typeof adjusterMeans)[number];
