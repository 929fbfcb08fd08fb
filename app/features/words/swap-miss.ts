import type { RejectedGear, RejectedPair } from "~/core/gears";

/** Why a gear, or a pair of them, cannot stand there. */
export const swapMissWords: Record<RejectedGear["reason"] | RejectedPair["reason"], string> = {
  module: "another module",
  "pressure-angle": "another pressure angle",
  helix: "another helix angle",
  bore: "its bore goes on neither shaft",
  count: "too few of them",
  "needs-more-room": "the slot would have to go further",
  "too-loose": "too loose however it is set",
  "tip-clearance": "tips would run into roots",
  "contact-ratio": "a tooth lets go before the next has hold",
};
