import * as z from "zod";
import { axisSchema } from "./kinds/axis/schema";
import { bevelSchema } from "./kinds/bevel/schema";
import { chainSchema } from "./kinds/chain/schema";
import { couplingSchema } from "./kinds/coupling/schema";
import { gapSchema } from "./kinds/gap/schema";
import { gearPairSchema } from "./kinds/gear-pair/schema";
import { planetaryKindSchema } from "./kinds/planetary/schema";
import { toothedBeltSchema } from "./kinds/toothed-belt/schema";
import { vBeltSchema } from "./kinds/v-belt/schema";
import { wormSchema } from "./kinds/worm/schema";

/** The geometry of a stage of any kind, as people give it; what comes out is the element that the core works with. */
export const elementSchema = z.discriminatedUnion("kind", [
  gearPairSchema,
  wormSchema,
  bevelSchema,
  planetaryKindSchema,
  toothedBeltSchema,
  vBeltSchema,
  chainSchema,
  couplingSchema,
  gapSchema,
  axisSchema,
]);
