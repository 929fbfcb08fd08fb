/** What is said of a part that is taken off or put on, out of a few words. */
export const partConditions = [
  "good",
  "worn",
  "stripped",
  "flat teeth",
  "burr",
  "cracked",
  "turning in its seat",
  "dry",
  "dirty",
  "shiny band",
] as const;
export type PartCondition = (typeof partConditions)[number];
/** What is to become of it. */
export const partFates = ["goes back", "clean it", "take off the burr", "exchange it", "order one"] as const;
export type PartFate = (typeof partFates)[number];
/** How far the screws of a part have come, from loosest to last. */
export const screwStates = ["started", "snug", "firm", "dressed"] as const;
export type ScrewState = (typeof screwStates)[number];
/** Which race of a bearing a spacer or washer touches. */
export const races = ["inner", "outer", "both", "none"] as const;
export type Race = (typeof races)[number];
/** What the thread is cut in: in plastic a screw is first turned backwards until it drops into its old thread. */
export const threadsIn = ["metal", "plastic"] as const;

/** Property classes of screws whose torque follows from their size. */
export const screwClasses = ["8.8", "10.9", "12.9", "A2-70"] as const;

/** What is done to a part beside taking it off and putting it on. */
export const partWorks = ["drill", "bore", "ream", "file", "cut to length", "file a flat"] as const;
export type PartWork = (typeof partWorks)[number];

/** How it turns by hand. */
export const turnFeels = ["free", "rough", "stiff"] as const;
export type TurnFeel = (typeof turnFeels)[number];
/** What was turned: the whole as it is built so far, or a test on the last part or its screws. */
export const turnWays = ["as built", "alone", "at that end only", "half a turn back"] as const;
export type TurnWay = (typeof turnWays)[number];
export const turnFinds = ["burr", "raised edge", "dust", "dry", "nothing"] as const;
export type TurnFind = (typeof turnFinds)[number];
export const turnDeeds = ["filed", "blown out", "cleaned", "greased", "taken off again"] as const;
export type TurnDeed = (typeof turnDeeds)[number];
