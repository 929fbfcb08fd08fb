import { useSyncExternalStore } from "react";
import { Button } from "~/ui/button";
import { heldNow, onHeld, sendHeld } from "./held-write";

const words = { "no-network": "there is no network", database: "the logbook cannot be reached" } as const;

/** Over a page whose form could not be sent: it stands as it was typed, and goes by itself. */
export function HeldStrip() {
  const held = useSyncExternalStore(onHeld, heldNow, () => null);
  if (!held) return null;
  return (
    <div className="fixed inset-x-0 bottom-0 z-40 bg-panel border-t-2 border-near px-5 max-sm:px-3.5 py-2 flex flex-wrap gap-x-5 gap-y-2 items-center text-lg">
      <p role="status">
        <b>Not sent yet: {words[held]}.</b> It stands here as you typed it, and goes once it can. Keep this page open.
      </p>
      <Button onClick={sendHeld}>Send it again</Button>
    </div>
  );
}
