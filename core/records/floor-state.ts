/** In what machines are counted and looked for on the floor; one machine may be in several. */
export const floorStates = ["outside", "near", "due", "unread", "open"] as const;
export type FloorState = (typeof floorStates)[number];
