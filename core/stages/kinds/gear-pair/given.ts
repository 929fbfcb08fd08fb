import { recommendBesideMesh } from "../../toothed/mesh-given";
import type { KindGiven } from "../kind-given";
import { checkGears } from "./check";

export const gearPairGiven: KindGiven<"gear-pair"> = {
  check: checkGears,
  // The standard's own: recommendBacklash in limits/.
  recommend: () => null,
  recommendSide: (_, quantity, asked) => recommendBesideMesh(quantity, asked),
  mirrored: (element) => ({
    ...element,
    pair: { ...element.pair, helixAngleDeg: element.pair.helixAngleDeg === 0 ? 0 : -element.pair.helixAngleDeg },
  }),
};
