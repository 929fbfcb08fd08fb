import { isSteep } from "~/core/stages";
import { type KindPanes, noPanes } from "../kind-panes";
import { RunPart } from "../runs/run-part";
import { SagPicture } from "./sag-picture";
import { SlackByHand } from "./slack-by-hand";

export const chain: KindPanes<"chain"> = {
  ...noPanes,
  part: ({ element, ...shown }) =>
    isSteep(element) ? (
      <RunPart element={element} asks="count the pitches here, under a light pull" />
    ) : (
      <SagPicture chain={element} {...shown} />
    ),
  beside: SlackByHand,
};
