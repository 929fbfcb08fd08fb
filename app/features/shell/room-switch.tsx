import { useRouteLoaderData } from "react-router";
import type { loader as rootLoader } from "~/app/root";
import { Button } from "~/ui/button";

/** Bright room, dark room: kept in a cookie, so that the server draws the right one at once. */
export function RoomSwitch() {
  const room = useRouteLoaderData<typeof rootLoader>("root")?.room ?? "bright";
  const other = room === "dark" ? "bright" : "dark";
  return (
    <form method="post" action="/room">
      <Button kind="quiet" type="submit" name="room" value={other}>
        {other === "dark" ? "Dark room" : "Bright room"}
      </Button>
    </form>
  );
}
