import { isSteep } from "~/core/stages";
import { type KindPanes, noPanes } from "../kind-panes";
import { SagPicture } from "./sag-picture";
import { SlackByHand } from "./slack-by-hand";

export const chain: KindPanes<"chain"> = {
  ...noPanes,
  read: ({ element, ...shown }) => (isSteep(element) ? null : <SagPicture chain={element} {...shown} />),
  beside: SlackByHand,
};
