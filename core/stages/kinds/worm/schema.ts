import * as z from "zod";
import { wormShape } from "../../../worms/schema";

export const wormSchema = z.object({
  kind: z.literal("worm"),
  worm: z.object(wormShape),
  hand: z.enum(["right", "left"]).default("right"),
});
export type WormElement = z.output<typeof wormSchema>;
