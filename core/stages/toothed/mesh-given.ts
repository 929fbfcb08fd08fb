import type { SideQuantity } from "../quantities";
import { type AskedFor, type Recommended, recommendEndFloat, recommendRunout } from "../rule";

/** Limits of what is read beside a mesh. */
export const recommendBesideMesh = (quantity: SideQuantity, asked: AskedFor): Recommended | null =>
  quantity === "end-float" ? recommendEndFloat(asked) : quantity === "runout" ? recommendRunout : null;
