import { mirroredIdlers } from "../../runs/mirrored";
import type { KindGiven } from "../kind-given";
import { checkChain } from "./check";
import { recommendBesideChain, recommendSag } from "./recommend";
import { isSteep } from "./steep";

export const chainGiven: KindGiven<"chain"> = {
  check: checkChain,
  recommend: (element) => recommendSag(element, isSteep(element)),
  recommendSide: recommendBesideChain,
  mirrored: (element) => ({ ...element, idlers: mirroredIdlers(element.idlers) }),
};
