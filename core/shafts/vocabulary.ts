/** What a part of a shaft is. */
export const shaftPartKinds = [
  "bearing",
  "bush",
  "gear",
  "pulley",
  "sprocket",
  "wheel",
  "hub",
  "collar",
  "sleeve",
  "other",
] as const;
export type ShaftPartKind = (typeof shaftPartKinds)[number];

/** How a part is held on the shaft. */
export const shaftHolds = ["nothing", "press fit", "set screws", "key", "pin", "collar"] as const;
export type ShaftHold = (typeof shaftHolds)[number];

/** When the widths were read: as the shaft stood, or as it was put together. */
export const shaftPhases = ["as found", "as fitted"] as const;
export type ShaftPhase = (typeof shaftPhases)[number];
