import type { RejectedGear, RejectedPair } from "~/core/gears";

/** Why a gear, or a pair of them, cannot stand there. */
export const swapMissWords: Record<RejectedGear["reason"] | RejectedPair["reason"], string> = {
  module: "another pitch",
  "pressure-angle": "another pressure angle",
  helix: "another helix angle",
  bore: "its bore fits neither shaft",
  count: "too few of them",
  "needs-more-room": "needs the centres further apart than the slot goes",
  "too-loose": "too loose as close as the slot goes",
  "tip-clearance": "tips touch roots",
  "contact-ratio": "too little contact",
};
