import { lengthWords } from "~/app/features/words/spoken";
import { bevelPair } from "~/core/bevels";
import { type KindPanes, noPanes } from "../kind-panes";
import { BothMembersPane } from "./both-members-pane";
import { ConesPicture } from "./cones-picture";

export const bevel: KindPanes<"bevel"> = {
  ...noPanes,
  byPrint: BothMembersPane,
  part: ({ element, shims }) => <ConesPicture element={element} shims={shims} />,
  /** The same can be had by the shims of the other member, at another contact. */
  otherMember: (reader, { element, changeMm }) => {
    const perAxial = bevelPair(element.bevel).backlashPerAxialMm;
    const [own, other] = element.shimmed === "pinion" ? [0, 1] : [1, 0];
    const way = (changeMm * (perAxial[own] ?? 0)) / (perAxial[other] ?? 1);
    return (
      <p className="text-lg mt-2">
        Or move the {other === 0 ? "pinion" : "gear"} {lengthWords(reader, Math.abs(way), 2)}{" "}
        {way < 0 ? "into" : "out of"} the mesh by its shims: the same backlash, with the contact shifted{" "}
        {other === 0 ? "in height, between tip and root" : "along the teeth, between toe and heel"}.
      </p>
    );
  },
};
